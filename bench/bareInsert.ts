/** The baseline of `bench:write`: a route that does nothing but one INSERT, committed, of what was sent. */
import Fastify from 'fastify';
import pg from 'pg';

const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL, max: 10 });
await pool.query('CREATE TABLE bare (id uuid PRIMARY KEY, at timestamptz NOT NULL, payload jsonb NOT NULL)');
const app = Fastify();
app.post<{ Body: { id: string; at: string; payload: unknown } }>('/bare', async ({ body }) => {
  await pool.query('INSERT INTO bare (id, at, payload) VALUES ($1, $2, $3)', [body.id, body.at, JSON.stringify(body.payload)]);
  return { stored: true };
});
console.log(await app.listen({ host: '127.0.0.1', port: 0 }));
