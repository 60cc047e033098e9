import type { FastifyPluginAsync } from 'fastify';
import type { DataSource } from 'typeorm';

/** Whether the server can take notes in: the database answers, and a row was written a moment ago. */
export const healthRoute: FastifyPluginAsync<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/health', { schema: { hide: true }, config: { open: true } }, async () => {
    await dataSource.query('INSERT INTO health (id, at) VALUES (1, now()) ON CONFLICT (id) DO UPDATE SET at = now()');
    return { well: true };
  });
};
