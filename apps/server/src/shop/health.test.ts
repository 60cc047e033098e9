import type { Health } from '@patient-badger/contract';
import Fastify from 'fastify';
import { serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { readConfig } from '../config.ts';
import { buildStandstill } from '../standstill.ts';
import { inCluster, testServer, type TestServer } from '../testing.ts';
import { healthRoute } from './health.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

interface Conditions {
  readonly now?: () => number;
  readonly dataDir?: string;
  readonly failed?: string | null;
  readonly last?: string | null;
}

/** What is told under these conditions. */
async function told({ now, dataDir, failed = null, last = new Date().toISOString() }: Conditions = {}) {
  const app = Fastify();
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.decorate('backups', async () => ({ folder: '/mnt', last, failed }));
  await app.register(healthRoute, {
    dataSource: server.dataSource,
    config: { BACKUP_EVERY_HOURS: 24, ...(dataDir !== undefined && { DATA_DIR: dataDir }) },
    ...(now && { now }),
  });
  const answer = await app.inject('/api/health');
  await app.close();
  const { well, problems = [], code } = answer.json<Health>();
  return [answer.statusCode, well, problems.map((each) => each.code), code];
}

test('a server on which all is well says so, and nothing of any shop', async () => {
  expect(await told()).toEqual([200, true, [], undefined]);
  const answer = await server.app.inject({ url: '/api/health', headers: { host: 'localhost' } });
  expect(answer.json()).toEqual({ well: true });
});

test('a full disk is no well server', async () => {
  // No room is ever left there.
  expect(await told({ dataDir: '/proc' })).toEqual([503, false, ['diskFull'], 'diskFull']);
});

test('a backup that failed, or is older than two of its turns, wants looking at', async () => {
  expect(await told({ failed: 'EACCES' })).toEqual([200, false, ['backupFailed'], undefined]);
  expect(await told({ last: new Date(Date.now() - 50 * 3_600_000).toISOString() })).toEqual([200, false, ['backupFailed'], undefined]);
  expect(await told({ last: new Date(Date.now() - 40 * 3_600_000).toISOString() })).toEqual([200, true, [], undefined]);
});

test.each([
  ['an hour behind the record', () => Date.now() - 3_600_000],
  ['an hour before it', () => Date.now() + 3_600_000],
  ['in the year 2000', () => Date.parse('2000-01-01')],
])('a clock that is %s is off', async (_name, now) => {
  expect((await told({ now, last: null }))[2]).toEqual(['clockOff']);
});

test('a record that is read-only, and one that is away, take nothing in', async () => {
  const name = new URL(server.url).pathname.slice(1);
  const cluster = process.env.TEST_DATABASE_URL ?? '';
  await inCluster(cluster, `ALTER DATABASE ${name} SET default_transaction_read_only = on`);
  await server.dataSource.destroy();
  await server.dataSource.initialize();
  expect(await told()).toEqual([503, false, ['recordReadOnly'], 'recordReadOnly']);
  await inCluster(cluster, `ALTER DATABASE ${name} RESET default_transaction_read_only`);
  await server.dataSource.destroy();
  expect(await told()).toEqual([503, false, ['databaseAway'], 'databaseAway']);
  await server.dataSource.initialize();
  expect(await told()).toEqual([200, true, [], undefined]);
});

test('an old program on a newer database takes nothing in, and says why to whoever asks', async () => {
  await server.dataSource.query(`INSERT INTO migrations ("timestamp", name) VALUES (9900000000001, 'Later9900000000001')`);
  expect(await told()).toEqual([503, false, ['newerDatabase'], 'newerDatabase']);
  await server.dataSource.query(`DELETE FROM migrations WHERE name = 'Later9900000000001'`);
  // One that is started on it stands still, and answers.
  const app = await buildStandstill(readConfig({ DATABASE_URL: server.url }), () => 'newerDatabase');
  for (const [method, url] of [
    ['GET', '/api/health'],
    ['POST', '/api/entries'],
    ['GET', '/api/standing'],
  ] as const) {
    const answer = await app.inject({ method, url });
    expect([answer.statusCode, answer.json<Health>().code]).toEqual([503, 'newerDatabase']);
  }
  await app.close();
});
