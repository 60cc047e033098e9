import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { Problem } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import { imports } from './imports/entities.ts';
import { traceOf } from './plugins/errors.ts';
import { openDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';
import { databaseIn, emptyDatabase, inCluster, testServer, type TestServer } from './testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const asTobin = { 'x-person': 'tobin' };
const health = () => server.inject('/api/health');

/** Every connection of the pool is alive: each that was cut fails one call at most, and is then made anew. */
async function wholePool(): Promise<void> {
  for (let round = 0; round < 50; round++) {
    const all = await Promise.allSettled(Array.from({ length: 10 }, () => server.dataSource.query('SELECT pg_sleep(0.05)')));
    if (all.every(({ status }) => status === 'fulfilled')) return;
  }
  throw new Error('the pool does not come back');
}

test('two servers on one empty database both come up, and it is filled once', async () => {
  const { url, drop } = await emptyDatabase();
  const opened = await Promise.all([1, 2, 3].map(() => openDataSource(url, seedDemo)));
  expect(await opened[0]?.query('SELECT count(*)::int AS n FROM shops')).toEqual([{ n: 1 }]);
  await Promise.all(opened.map((each) => each.destroy()));
  await drop();
});

test('a server that comes up before its database waits for it', async () => {
  const cluster = process.env.TEST_DATABASE_URL ?? '';
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  await inCluster(cluster, `CREATE DATABASE ${name} ALLOW_CONNECTIONS false`);
  const child = spawn(process.execPath, ['--import', 'tsx', join(__dirname, 'main.ts')], {
    env: { ...process.env, DATABASE_URL: databaseIn(cluster, name), PORT: '0', LOG_LEVEL: 'silent' },
  });
  let said = '';
  const hear = (chunk: Buffer) => void (said += chunk.toString());
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  const until = async (text: string) => {
    while (!said.includes(text)) await new Promise((resolve) => setTimeout(resolve, 100));
  };
  await until('waiting for it');
  await inCluster(cluster, `ALTER DATABASE ${name} ALLOW_CONNECTIONS true`);
  await until('Patient Badger is at');
  child.kill('SIGTERM');
  await new Promise((resolve) => child.once('exit', resolve));
  await inCluster(cluster, `DROP DATABASE ${name} WITH (FORCE)`);
});

test('connections that are cut in the midst of things never end the process, and calls are answered again', async () => {
  const { dataSource } = server;
  for (let i = 0; i < 10; i++) {
    const busy = Array.from({ length: 6 }, () => dataSource.query('SELECT pg_sleep(0.3)').catch((error: unknown) => error));
    await new Promise((resolve) => setTimeout(resolve, 60));
    await inCluster(
      server.url,
      'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
    );
    await Promise.all(busy);
  }
  // Idle connections may have been cut as well, and the pool may find that out only when one is used: each can fail one call at most.
  const answers = [];
  for (let call = 0; call <= 10; call++) answers.push((await health()).statusCode);
  expect(answers.at(-1)).toBe(200);
});

test('a record that is read-only is said to be, by health and by every write, and nothing is called a mistake of the note', async () => {
  const name = new URL(server.url).pathname.slice(1);
  await inCluster(server.url, `ALTER DATABASE ${name} SET default_transaction_read_only = on`);
  await inCluster(
    server.url,
    'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
  );
  await wholePool();
  const entry = {
    id: randomUUID(),
    jobId: randomUUID(),
    at: new Date().toISOString(),
    by: 'tobin',
    payload: { kind: 'remark', text: 'x' },
  };
  const written = await server.inject({ method: 'POST', url: '/api/entries', payload: [entry], headers: asTobin });
  expect([written.statusCode, written.json<{ code: string }>().code]).toEqual([503, 'recordReadOnly']);
  expect([(await health()).statusCode, (await health()).json<{ code: string }>().code]).toEqual([503, 'recordReadOnly']);
  expect((await server.inject('/api/jobs')).statusCode).toBe(200);
  await inCluster(
    server.url,
    `BEGIN; SET LOCAL default_transaction_read_only = off; SET TRANSACTION READ WRITE; ALTER DATABASE ${name} RESET default_transaction_read_only; COMMIT`,
  );
  await inCluster(
    server.url,
    'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
  );
  await wholePool();
  expect((await health()).json()).toEqual({ well: true });
});

test('a list that was given up for dead stays so, and nothing of it is kept', async () => {
  const begin = await server.inject({
    method: 'POST',
    url: '/api/imports?duplicates=refuse',
    headers: { ...asTobin, 'content-type': 'application/x-ndjson' },
    payload: Array.from({ length: 3000 }, (_, i) =>
      JSON.stringify({
        partNumber: `DEAD-${i}`,
        name: 'Worm',
        supplier: 'QB',
        priceMinor: 1,
        leadDays: 1,
        stock: 1,
        attributes: { type: 'worm', starts: 1, moduleMm: 1 },
      }),
    ).join('\n'),
  });
  const { id } = begin.json<{ id: string }>();
  // The clock of the one who asks has run on: the thread said nothing for too long.
  await server.dataSource.getRepository(imports).update({ id }, { touchedAt: new Date(0) });
  const state = async () => (await server.inject(`/api/imports/${id}`)).json<{ state: string; sentence: string }>();
  const told = await state();
  await new Promise((resolve) => setTimeout(resolve, 4000));
  expect((await state()).state).toBe(told.state);
  const [{ n }] = await server.dataSource.query<[{ n: number }]>("SELECT count(*)::int AS n FROM parts WHERE part_number LIKE 'DEAD-%'");
  expect([told.state, n]).toEqual(['failed', 0]);
});

test('a line of sixty megabytes is refused in a sentence', async () => {
  const payload = `{"partNumber":"LONG","name":"${'x'.repeat(60 * 1024 * 1024)}"}`;
  const begin = await server.inject({
    method: 'POST',
    url: '/api/imports?duplicates=refuse',
    headers: asTobin,
    payload: Buffer.from(payload),
  });
  const { id } = begin.json<{ id: string }>();
  const state = async () => (await server.inject(`/api/imports/${id}`)).json<{ state: string; sentence: string }>();
  while ((await state()).state === 'running') await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await state()).toMatchObject({ state: 'failed', sentence: expect.stringContaining('Line 1') as string });
});

test('answers are packed for who can unpack them', async () => {
  const plain = await server.inject('/api/jobs');
  const packed = await server.inject({ url: '/api/jobs', headers: { 'accept-encoding': 'gzip, br' } });
  expect(packed.headers['content-encoding']).toBe('br');
  expect(packed.rawPayload.length).toBeLessThan(plain.rawPayload.length / 2);
});

test.each(['/API/jobs', '/api', '/Api/unheard-of', '/%', '/%E0%A4%A', '/api/%'])('%s is answered in the house’s own form', async (url) => {
  const answer = await server.inject(url);
  expect([answer.statusCode, answer.json<Problem>()]).toEqual([404, { code: 'notFound', sentence: problemSentence('notFound') }]);
});

test('what people wrote and whose machine it is stays out of the log of a failure', () => {
  const error = Object.assign(new Error('duplicate key: Key (owner)=(Lighthouse keeper) already exists'), {
    driverError: { code: '23505', table: 'machines', constraint: 'one_owner', detail: 'Key (owner)=(Lighthouse keeper)' },
    parameters: ['a remark about the Lighthouse keeper'],
  });
  const logged = JSON.stringify(traceOf(error));
  expect(logged).not.toMatch(/Lighthouse|remark/);
  expect(JSON.parse(logged)).toMatchObject({ kind: 'Error', code: '23505', table: 'machines', constraint: 'one_owner' });
});
