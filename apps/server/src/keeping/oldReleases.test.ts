import { randomUUID } from 'node:crypto';
import { createWriteStream, readdirSync, readFileSync } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { sampled } from '@patient-badger/core/testing';
import type { JobPage, MachineModel, MachinePage } from '@patient-badger/contract';
import { knownMigrations } from '../dataSource.ts';
import { emptyDatabase, everyJobRow, rowHashes, serverOn } from '../testing.ts';
import { restoreBackup, writeBackup } from './backup.ts';
import { runTool } from './postgresTools.ts';
import { exportShop } from './shopOut.ts';
import { importShop } from './shopIn.ts';
import { SHOP_TABLES } from './shopTables.ts';

jest.setTimeout(120_000);

/**
 * The demo world as earlier releases wrote it, by the commit that wrote it; the catalogue was cut to what jobs name.
 * `DUMPS=folder` takes those of a folder instead: every release that the repository can build.
 */
const FOLDER = process.env.DUMPS ?? join(__dirname, 'dumps');

const spare: (() => Promise<void>)[] = [];
afterAll(async () => {
  for (const drop of spare) await drop();
});
async function fresh(): Promise<string> {
  const { url, drop } = await emptyDatabase();
  spare.push(drop);
  return url;
}

async function restoreDump(name: string): Promise<string> {
  const url = await fresh();
  const tool = runTool('pg_restore', url, ['--dbname', new URL(url).pathname.slice(1), '--no-owner', '--no-privileges', '--exit-on-error']);
  tool.input.end(readFileSync(join(FOLDER, name)));
  await tool.ended;
  return url;
}

type Server = Pick<Awaited<ReturnType<typeof serverOn>>, 'inject'>;

/** Everything that lists and screens read, and one note and one take-in on every machine, or on so many: what was refused, and where. */
async function workOn({ inject }: Server, most = Infinity): Promise<readonly string[]> {
  const problems: string[] = [];
  const get = async <T>(url: string): Promise<T | null> => {
    const answer = await inject(url);
    if (answer.statusCode !== 200) problems.push(`${url}: ${answer.statusCode} ${answer.body.slice(0, 200)}`);
    return answer.statusCode === 200 ? answer.json<T>() : null;
  };
  const write = async (jobId: string, payload: object) => {
    const entry = { id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload };
    const answer = await inject({ method: 'POST', url: '/api/entries', payload: [entry] });
    const [receipt] = answer.statusCode === 200 ? answer.json<{ status: string; sentence?: string }[]>() : [];
    if (receipt?.status !== 'stored')
      problems.push(`${JSON.stringify(payload).slice(0, 80)}: ${answer.statusCode} ${receipt?.sentence ?? answer.body.slice(0, 200)}`);
  };
  for (const url of [
    '/api/shop',
    '/api/families',
    '/api/shelf',
    '/api/learnt',
    '/api/verdicts',
    '/api/machines/counts',
    '/api/parts?limit=20',
  ])
    await get(url);
  for (const { id } of (await get<MachineModel[]>('/api/models')) ?? []) await get(`/api/models/${id}/book`);
  for (const { id, family } of (await get<MachinePage>('/api/machines'))?.machines.slice(0, most) ?? []) {
    await get(`/api/machines/${id}/history`);
    const jobId = randomUUID();
    await write(jobId, { kind: 'takenIn', machineId: id, family, complaint: 'again', facts: {} });
    await write(jobId, { kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.5, note: 'a fence post' });
  }
  await get<JobPage>('/api/jobs?state=open');
  for (const { id } of (await everyJobRow({ inject }, '')).slice(0, most)) {
    await get(`/api/jobs/${id}`);
    await write(id, { kind: 'remark', text: 'still readable' });
  }
  return problems;
}

const MOVING = {
  jobs: ['move', 'move_seq', 'row_seq', 'summary'],
  shops: ['last_row'],
  sessions: ['seen_at'],
  health: ['at'],
  people: ['passphrase', 'pin', 'failed', 'locked_until'],
};

const names = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.dump'))
  .sort();

/** Changes of the tables that came with the next one, in one landing: nobody's database was ever between them. */
const NEVER_LEFT = [2, 11, 13];

test('of every state in which a release left the tables a dump is kept', () => {
  // Named by the number of the last change of the tables, then by the commit that wrote it. The newest is this release's own.
  const kept = new Set([...names.map((name) => Number(name.split('-')[0])), ...NEVER_LEFT]);
  const states = knownMigrations().map((name) => Number(name.slice(-3)));
  expect(process.env.DUMPS ? [] : states.slice(0, -1).filter((state) => !kept.has(state))).toEqual([]);
});

/** The oldest, the newest, and others of those between with each commit. */
const opened = [...names.slice(0, 1), ...sampled(names.slice(1, -1), 3), ...names.slice(-1)];

test.each(opened)('%s is opened, worked on, restored, written out and brought in again', async (name) => {
  const folder = await mkdtemp(join(tmpdir(), 'badger-old-'));
  const url = await restoreDump(name);
  const server = await serverOn(url);
  expect(await workOn(server)).toEqual([]);
  await server.app.close();
  const zip = join(folder, 'shop.zip');
  await pipeline(Readable.from(exportShop(server.dataSource, 'skarrow')), createWriteStream(zip));
  await server.dataSource.destroy();
  const before = await rowHashes(url, undefined, MOVING);
  const backup = join(folder, 'whole.backup');
  await writeBackup(url, backup);
  const restored = await fresh();
  await restoreBackup(restored, backup);
  expect(await rowHashes(restored, undefined, MOVING)).toEqual(before);
  const again = await serverOn(restored);
  // Row by row the same as before: a few of each kind show that it is worked on.
  expect(await workOn(again, 3)).toEqual([]);
  await again.app.close();
  await again.dataSource.destroy();
  const elsewhere = await fresh();
  await importShop(elsewhere, zip);
  const tables = SHOP_TABLES.map(({ name: table }) => table);
  expect(await rowHashes(elsewhere, tables, MOVING)).toEqual(await rowHashes(url, tables, MOVING));
});
