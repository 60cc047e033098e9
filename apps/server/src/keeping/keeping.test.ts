import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { sampled } from '@patient-badger/core/testing';
import type { Health } from '@patient-badger/contract';
import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import jpeg from 'jpeg-js';
import type { DataSource } from 'typeorm';
import { buildApp } from '../app.ts';
import { readConfig } from '../config.ts';
import { createDataSource, knownMigrations, openDataSource } from '../dataSource.ts';
import { idOf } from '../idOf.ts';
import { cookiesOf, emptyDatabase, rowHashes, serverOn, testServer, type TestServer } from '../testing.ts';
import { checkBackup, restoreBackup, writeBackup } from './backup.ts';
import { exportShop } from './shopOut.ts';
import { importShop } from './shopIn.ts';
import { backupIfDue, backupsIn } from './schedule.ts';
import { NOT_OF_A_SHOP, SHOP_TABLES } from './shopTables.ts';

jest.setTimeout(120_000);

let server: TestServer;
let folder: string;
const spare: (() => Promise<void>)[] = [];
beforeAll(async () => {
  server = await testServer();
  folder = await mkdtemp(join(tmpdir(), 'badger-keeping-'));
  for (const shade of [40, 120, 200]) {
    const photo = jpeg.encode({ width: 40, height: 30, data: Buffer.alloc(40 * 30 * 4, shade) }, 80).data;
    const answer = await server.inject({ method: 'POST', url: '/api/photos', payload: photo, headers: { 'content-type': 'image/jpeg' } });
    expect(answer.statusCode).toBe(200);
  }
});
afterAll(async () => {
  for (const drop of spare) await drop();
  await server.stop();
});

async function fresh(): Promise<string> {
  const { url, drop } = await emptyDatabase();
  spare.push(drop);
  return url;
}

async function opened<T>(url: string, work: (dataSource: DataSource) => Promise<T>): Promise<T> {
  const dataSource = await createDataSource(url).initialize();
  try {
    return await work(dataSource);
  } finally {
    await dataSource.destroy();
  }
}

const tablesOf = async (dataSource: DataSource) =>
  (
    await dataSource.query<{ t: string }[]>(
      `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE' ORDER BY 1`,
    )
  ).map(({ t }) => t);

const remark = (text: string) => ({ kind: 'remark', text });
const takenIn = { kind: 'takenIn', machineId: idOf('machine', 'pruner'), family: 'saw-oil-pump', complaint: 'dry', facts: {} };
const post = (jobId: string, payload: object) =>
  server.inject({
    method: 'POST',
    url: '/api/entries',
    payload: [{ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload }],
  });

test('a backup taken while entries are written is one moment of the record, without a gap, and nothing is waited for', async () => {
  const jobId = randomUUID();
  await post(jobId, takenIn);
  let writing = true;
  let written = 0;
  const writer = (async () => {
    while (writing) {
      expect((await post(jobId, remark(`while it is taken ${written}`))).statusCode).toBe(200);
      written++;
    }
  })();
  const file = join(folder, 'while.backup');
  await writeBackup(server.url, file);
  const during = written;
  await post(jobId, remark('after'));
  writing = false;
  await writer;
  expect(during).toBeGreaterThan(3);

  const url = await fresh();
  await restoreBackup(url, file);
  const [last] = await opened(url, (db) => db.query<{ last: number }[]>('SELECT last_seq::int AS last FROM shops'));
  const upTo = (at: string) =>
    opened(at, (db) =>
      db.query<{ h: string; n: number }[]>(
        `SELECT md5(string_agg(to_jsonb(e)::text, '' ORDER BY seq)) AS h, count(*)::int AS n FROM entries e WHERE seq <= $1`,
        [last?.last],
      ),
    );
  expect(await upTo(url)).toEqual(await upTo(server.url));
  expect(await opened(url, (db) => db.query('SELECT max(seq)::int AS m FROM entries'))).toEqual([{ m: last?.last }]);
  const still = ['parts', 'photos', 'people', 'machines', 'machine_models', 'shelf', 'listings'];
  expect(await rowHashes(url, still)).toEqual(await rowHashes(server.url, still));
});

test('restored, it equals the original row by row and photo by photo, and a server works on it', async () => {
  const file = join(folder, 'still.backup');
  // The next move is worked out beside the record, and when a device was last there is no record.
  const moving = { jobs: ['move', 'move_seq', 'row_seq'], shops: ['last_row'], sessions: ['seen_at'], health: ['at'] };
  const before = await rowHashes(server.url, undefined, moving);
  expect(before.photos).toHaveLength(3);
  expect(before.entries?.length).toBeGreaterThan(100);
  await writeBackup(server.url, file);
  const url = await fresh();
  const { madeAt } = await restoreBackup(url, file);
  expect(Date.now() - Date.parse(madeAt)).toBeLessThan(60_000);
  const after = await rowHashes(url, undefined, moving);
  expect(after).toEqual(before);
  const again = await serverOn(url);
  expect((await again.inject('/api/jobs?state=open')).json<{ rows: unknown[] }>().rows.length).toBeGreaterThan(5);
  await again.app.close();
  await again.dataSource.destroy();
  expect((await readdir(folder)).filter((name) => name.endsWith('.part'))).toEqual([]);
});

test('a backup that is torn, changed, another file or of a newer program is refused, and the database stays empty', async () => {
  const file = join(folder, 'sound.backup');
  await writeBackup(server.url, file);
  const sound = await readFile(file);
  const url = await fresh();
  const attempt = async (bytes: Buffer) => {
    const torn = join(folder, `${randomUUID()}.backup`);
    await writeFile(torn, bytes);
    return restoreBackup(url, torn).then(
      () => 'restored',
      (error: Error) => error.message,
    );
  };
  const flipped = Buffer.from(sound);
  flipped[Math.floor(sound.length / 2)] = (flipped[Math.floor(sound.length / 2)] ?? 0) ^ 1;
  for (const bytes of [
    sound.subarray(0, -1),
    sound.subarray(0, Math.floor(sound.length / 2)),
    flipped,
    Buffer.concat([sound, Buffer.from('x')]),
  ])
    expect(await attempt(bytes)).toContain('damaged or cut short');
  for (const bytes of [Buffer.alloc(0), Buffer.from('a shopping list'), Buffer.alloc(5000, 7)])
    expect(await attempt(bytes)).toContain('is no backup of Patient Badger');
  const newer = Buffer.from(
    sound
      .subarray(0, -64)
      .toString('latin1')
      .replace(knownMigrations().at(-1) ?? '', 'Later9900000000001'),
    'latin1',
  );
  expect(await attempt(Buffer.concat([newer, Buffer.from(createHash('sha256').update(newer).digest('hex'))]))).toContain(
    'newer Patient Badger',
  );
  expect(await opened(url, tablesOf)).toEqual([]);
  expect(await restoreBackup(server.url, file).catch((error: Error) => error.message)).toContain('not empty');
  expect((await checkBackup(file)).tables).toBe(knownMigrations().at(-1));
});

test('backups by themselves: when one is due, not before, and no more are kept than wanted', async () => {
  const own = await mkdtemp(join(tmpdir(), 'badger-schedule-'));
  const at = (hours: number) => ({ folder: own, everyHours: 24, keep: 2, now: new Date(Date.UTC(2026, 4, 1, hours)) });
  const due = (hours: number) => backupIfDue(server.dataSource, server.url, at(hours));
  expect([await due(0), await due(23), await due(24)]).toEqual([true, false, true]);
  expect(await due(49)).toBe(true);
  expect(await backupsIn(own)).toEqual(['patient-badger-2026-05-03T01-00-00Z.backup', 'patient-badger-2026-05-02T00-00-00Z.backup']);
  for (const name of await backupsIn(own)) await checkBackup(join(own, name));
  // Two servers on one database make one of it.
  const both = await Promise.all([due(80), due(80)]);
  expect(both.filter(Boolean).length).toBeGreaterThanOrEqual(1);
  expect(await backupsIn(own)).toHaveLength(2);
});

test('a shop written out as open JSON comes in elsewhere as it was, photos too, but for secrets and sessions', async () => {
  const file = join(folder, 'shop.zip');
  await pipeline(Readable.from(exportShop(server.dataSource, 'skarrow')), createWriteStream(file));
  const bytes = await readFile(file);
  expect(bytes.includes('argon2id')).toBe(false);
  const url = await fresh();
  const { rows, photos } = await importShop(url, file);
  expect([rows > 3000, photos]).toEqual([true, 3]);
  const secrets = { people: ['passphrase', 'pin', 'failed', 'locked_until'] };
  const names = SHOP_TABLES.map(({ name }) => name);
  const moving = { ...secrets, jobs: ['move', 'move_seq', 'row_seq'], shops: ['last_row'] };
  expect(await rowHashes(url, names, moving)).toEqual(await rowHashes(server.url, names, moving));
  expect(await importShop(url, file).catch((error: Error) => error.message)).toContain('not empty');
  const empty = await fresh();
  for (const cut of [bytes.subarray(0, Math.floor(bytes.length * 0.6)), bytes.subarray(0, 200), Buffer.from('PK, or not')]) {
    const torn = join(folder, `${randomUUID()}.zip`);
    await writeFile(torn, cut);
    expect(await importShop(empty, torn).catch((error: Error) => error.message)).toMatch(/cut short|damaged|no shop/);
    expect((await opened(empty, tablesOf)).filter((t) => t !== 'migrations')).toEqual([]);
  }
});

test('no table is forgotten when a shop is written out', async () => {
  const tables = await tablesOf(server.dataSource);
  expect([...SHOP_TABLES.map(({ name }) => name), ...NOT_OF_A_SHOP].sort()).toEqual([...tables].sort());
});

test('a database of a newer program is left alone', async () => {
  const url = await fresh();
  await (await openDataSource(url)).destroy();
  await opened(url, (db) => db.query(`INSERT INTO migrations ("timestamp", name) VALUES (9900000000001, 'Later9900000000001')`));
  await expect(openDataSource(url)).rejects.toThrow('made by a newer Patient Badger');
});

/** What a shop had in it when the tables were new: these columns have been there from the start. */
const FIRST_ROWS = (job: string, machine: string) => `
  INSERT INTO shops (id, name, currency) VALUES ('s', 'Shed', 'EUR');
  INSERT INTO people (id, shop_id, name, ROLE) VALUES ('p', 's', 'P', 'all');
  INSERT INTO machines (id, shop_id, family, label, serial, owner, facts) VALUES ('${machine}', 's', 'saw-oil-pump', 'Long saw', 'X-77', 'Orchard', '{}');
  INSERT INTO jobs (id, shop_id, machine_id, family, closed) VALUES ('${job}', 's', '${machine}', 'saw-oil-pump', false);
  INSERT INTO entries (id, shop_id, job_id, "at", "by", payload SEQ) VALUES
    (gen_random_uuid(), 's', '${job}', '2026-02-01T10:00Z', 'p', '{"kind":"takenIn","machineId":"${machine}","family":"saw-oil-pump","complaint":"leaks","facts":{}}' NUMBER);
  INSERT INTO parts (id, shop_id, part_number, name, supplier, type, module_mm, attributes, price_minor, lead_days, stock, claims)
    VALUES (gen_random_uuid(), 's', 'QB-1', 'Worm', 'Quernby Spares', 'worm', 1.25, '{"type":"worm"}', 900, 3, 1, '{}')`;

test.each(knownMigrations().map((name, i) => [name, i] as const))(
  'tables as %s left them come forward with what is in them',
  async (name, i) => {
    const url = await fresh();
    const [job, machine] = [randomUUID(), randomUUID()];
    const then = await createDataSource(url, { upTo: name }).initialize();
    await then.runMigrations();
    const numbered = i >= knownMigrations().indexOf('JobRows1700000000007');
    const withRoles = i >= knownMigrations().indexOf('PeopleAndSessions1700000000008');
    const rows = FIRST_ROWS(job, machine)
      .replace('ROLE', withRoles ? 'about' : 'role')
      .replace('SEQ', numbered ? ', seq' : '')
      .replace('NUMBER', numbered ? ', 1' : '');
    await then.query(rows);
    await then.destroy();
    const now = await openDataSource(url);
    expect(await now.query('SELECT id, label FROM machines')).toEqual([{ id: machine, label: 'Long saw' }]);
    expect(await now.query("SELECT payload->>'complaint' AS c, seq::int FROM entries")).toEqual([{ c: 'leaks', seq: 1 }]);
    expect(await now.query('SELECT part_number AS n FROM parts')).toEqual([{ n: 'QB-1' }]);
    expect(await now.showMigrations()).toBe(false);
    await now.destroy();
  },
);

test('a target that cannot be opened, or a disk that is full at any write, is an error and leaves nothing behind', async () => {
  const own = await mkdtemp(join(tmpdir(), 'badger-faults-'));
  await expect(writeBackup(server.url, join(own, 'missing', 'x.backup'))).rejects.toThrow('ENOENT');
  await expect(writeBackup(server.url, '/proc/x.backup')).rejects.toThrow();
  let writes = 0;
  const breaksAt = (n: number) => () => {
    let left = n;
    return new Writable({
      write(_chunk, _encoding, done) {
        writes++;
        done(left-- <= 0 ? Object.assign(new Error('no space left on device'), { code: 'ENOSPC' }) : null);
      },
      // Also the last of it, when the file is closed.
      final: (done) => done(new Error('no space left on device')),
    });
  };
  // The header, the first of the rows, and some write behind them.
  for (const n of [
    0,
    1,
    ...sampled(
      Array.from({ length: 38 }, (_, i) => i + 2),
      10,
    ),
  ])
    await expect(writeBackup(server.url, join(own, `${n}.backup`), breaksAt(n))).rejects.toThrow(/no space left|ENOENT/);
  expect(writes).toBeGreaterThan(20);
  expect(await readdir(own)).toEqual([]);
});

test('a backup that cannot be made is told to the owner and does not end the server', async () => {
  const file = join(folder, 'no-folder');
  await writeFile(file, '');
  const config = readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent', BACKUP_DIR: join(file, 'below') });
  const app = await buildApp(config, server.dataSource);
  await app.ready();
  for (let i = 0; i < 100 && (await app.backups())?.failed === null; i++) await new Promise((resolve) => setTimeout(resolve, 50));
  expect((await app.backups())?.failed).toMatch(/ENOTDIR|EEXIST/);
  const told = await app.inject({ url: '/api/health', headers: { host: 'localhost' } });
  expect([told.statusCode, told.json<Health>().problems?.map(({ code }) => code)]).toEqual([200, ['backupFailed']]);
  await app.close();
});

test('columns hold nothing else than what they are for, whoever writes them', async () => {
  for (const text of [
    `UPDATE photos SET type = 'text/html'`,
    `UPDATE people SET role = 'king' WHERE id = 'wren'`,
    `UPDATE entries SET payload = '{"kind":7}'`,
    `INSERT INTO imports (id, shop_id, "by", state, done, total, cancel_asked, touched_at) VALUES (gen_random_uuid(), 'skarrow', 'imke', 'odd', 0, 0, false, now())`,
  ])
    await expect(server.dataSource.query(text)).rejects.toThrow('violates check constraint');
});

test('a shop that is fetched slowly holds no connection, is cut, and goes on where it was', async () => {
  const owner = { headers: { 'x-person': 'imke' } };
  const whole = await server.inject({ url: '/api/shop/export', ...owner });
  const tag = String(whole.headers.etag);
  const from = Math.floor(whole.rawPayload.length / 3);
  const rest = await server.inject({ url: '/api/shop/export', headers: { ...owner.headers, range: `bytes=${from}-`, 'if-range': tag } });
  expect([whole.statusCode, rest.statusCode, rest.headers.etag]).toEqual([200, 206, tag]);
  expect(Buffer.concat([whole.rawPayload.subarray(0, from), rest.rawPayload]).equals(whole.rawPayload)).toBe(true);
  // Another file is begun anew.
  const other = await server.inject({
    url: '/api/shop/export',
    headers: { ...owner.headers, range: `bytes=${from}-`, 'if-range': '"another"' },
  });
  expect(other.statusCode).toBe(200);
  // Twelve readers that stop, on real connections: everybody else is answered.
  const address = await server.app.listen({ host: '127.0.0.1', port: 0 });
  const cookie = (await cookiesOf(server.dataSource)).get('imke') ?? '';
  const stopped = await Promise.all(Array.from({ length: 12 }, () => fetch(`${address}/api/shop/export`, { headers: { cookie } })));
  const asked = await Promise.all(Array.from({ length: 20 }, () => fetch(`${address}/api/jobs`, { headers: { cookie } })));
  expect(asked.map(({ status }) => status)).toEqual(Array(20).fill(200));
  for (const { body } of stopped) await body?.cancel();
});
