import { t } from '@patient-badger/wording/server';
import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { createDataSource, knownMigrations } from '../dataSource.ts';
import { runTool } from './postgresTools.ts';

/**
 * One file: a line of JSON that says what it is, the database as `pg_dump` writes it (photos are rows of it),
 * and at its end the SHA-256 of everything before, in hex. Whatever is torn, cut or changed does not add up.
 */
const header = z.object({
  format: z.literal('patient-badger-backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  /** The last change of the tables that is in it. */
  tables: z.string(),
  /** How many rows of each table are in it; backups of before this was counted have none. */
  counts: z.record(z.string(), z.int()).optional(),
});
export type BackupHeader = z.infer<typeof header>;

const CHECKSUM_BYTES = 64;
/** Nothing of ours begins with a longer line. */
const MOST_HEADER = 4000;

/** A refusal of a backup, in a sentence. */
export class BackupRefused extends Error {}

/** How a file is opened for writing; another one in tests, which breaks at a chosen write. */
type OpenFile = (path: string) => Writable;
const newFile: OpenFile = (path) => createWriteStream(path, { flags: 'wx', mode: 0o600 });

/**
 * Writes the whole database into one file while people go on writing into it: rows are counted and dumped from one
 * snapshot. The file has its name only once it is whole and on disk. Resolves to its size in bytes.
 * @throws Error where the target cannot be written, whatever it is that fails
 */
export async function writeBackup(url: string, file: string, openFile: OpenFile = newFile): Promise<number> {
  const part = `${file}.${randomUUID().slice(0, 8)}.part`;
  const dataSource = await createDataSource(url, { patient: true }).initialize();
  try {
    await inSnapshot(dataSource, async ({ snapshot, tables, counts }) => {
      const about: BackupHeader = { format: 'patient-badger-backup', version: 1, madeAt: new Date().toISOString(), tables, counts };
      const dump = runTool('pg_dump', url, ['--format=custom', '--no-owner', '--no-privileges', `--snapshot=${snapshot}`]);
      dump.ended.catch(() => undefined);
      const sum = createHash('sha256');
      await pipeline(
        async function* () {
          yield Buffer.from(`${JSON.stringify(about)}\n`);
          yield* dump.output as AsyncIterable<Buffer>;
          await dump.ended;
        },
        async function* (chunks: AsyncIterable<Buffer>) {
          for await (const chunk of chunks) {
            sum.update(chunk);
            yield chunk;
          }
          yield Buffer.from(sum.digest('hex'));
        },
        openFile(part),
      );
    });
    await toDisk(part);
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true }).catch(() => undefined);
    throw error;
  } finally {
    await dataSource.destroy();
  }
  return (await stat(file)).size;
}

interface Snapshot {
  readonly snapshot: string;
  readonly tables: string;
  readonly counts: Readonly<Record<string, number>>;
}

/** One moment of the database, held while it is dumped; with the last change of its tables, and how many rows each has. */
async function inSnapshot(dataSource: DataSource, work: (moment: Snapshot) => Promise<void>): Promise<void> {
  const runner = dataSource.createQueryRunner();
  try {
    await runner.startTransaction('REPEATABLE READ');
    // Held idle for as long as the dump takes.
    await runner.query('SET LOCAL idle_in_transaction_session_timeout = 0');
    const there = (await runner.query(`SELECT to_regclass('migrations')::text AS t`)) as [{ t: string | null }];
    const [last] = there[0].t ? ((await runner.query('SELECT name FROM migrations ORDER BY id DESC LIMIT 1')) as { name: string }[]) : [];
    if (!last) throw new BackupRefused(t.thereIsNothingInThis);
    const [{ snapshot }] = (await runner.query('SELECT pg_export_snapshot() AS snapshot')) as [{ snapshot: string }];
    await work({ snapshot, tables: last.name, counts: await countRows(runner) });
    await runner.commitTransaction();
  } finally {
    if (runner.isTransactionActive) await runner.rollbackTransaction().catch(() => undefined);
    await runner.release();
  }
}

/** How many rows each table has. */
async function countRows(runner: { query: (text: string) => Promise<unknown> }): Promise<Readonly<Record<string, number>>> {
  const tables = (await runner.query(
    `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE' ORDER BY 1`,
  )) as { t: string }[];
  const counts: Record<string, number> = {};
  for (const { t } of tables) {
    const [{ n }] = (await runner.query(`SELECT count(*)::int AS n FROM "${t}"`)) as [{ n: number }];
    counts[t] = n;
  }
  return counts;
}

async function toDisk(file: string): Promise<void> {
  const handle = await open(file, 'r');
  await handle.sync();
  await handle.close();
}

/** What a backup says of itself, once all of it adds up. @throws BackupRefused */
export async function checkBackup(file: string): Promise<BackupHeader & { readonly from: number; readonly to: number }> {
  const { size } = await stat(file).catch(() => {
    throw new BackupRefused(t.thereIsNo(file));
  });
  const to = size - CHECKSUM_BYTES;
  const about = to > 0 ? await readHeader(file) : null;
  if (!about) throw new BackupRefused(t.thisFileIsNoBackup);
  const sum = createHash('sha256');
  await pipeline(createReadStream(file, { end: to - 1 }), sum);
  const told = await readText(file, to, size);
  if (told !== sum.digest('hex')) throw new BackupRefused(t.thisBackupIsDamagedOr);
  return { ...about, to };
}

async function readHeader(file: string): Promise<(BackupHeader & { from: number }) | null> {
  const [line = ''] = (await readText(file, 0, MOST_HEADER)).split('\n');
  try {
    return { ...header.parse(JSON.parse(line)), from: Buffer.byteLength(line) + 1 };
  } catch {
    return null;
  }
}

async function readText(file: string, start: number, end: number): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of createReadStream(file, { start, end: end - 1 })) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString();
}

/**
 * Puts a backup into an empty database, all or nothing. Checked whole before anything is touched.
 * @throws BackupRefused where it is damaged, made by a newer program, or the database is not empty
 */
export async function restoreBackup(url: string, file: string): Promise<BackupHeader> {
  const { from, to, ...about } = await checkBackup(file);
  if (!knownMigrations().includes(about.tables)) throw new BackupRefused(t.thisBackupWasMadeBy);
  await refuseUnlessEmpty(url);
  const restore = runTool('pg_restore', url, [
    '--dbname',
    new URL(url).pathname.slice(1),
    '--no-owner',
    '--no-privileges',
    '--single-transaction',
    '--exit-on-error',
  ]);
  const fed = pipeline(createReadStream(file, { start: from, end: to - 1 }), restore.input);
  await Promise.all([restore.ended, fed.catch(() => undefined)]);
  if (about.counts) await refuseUnlessCounted(url, about.counts);
  return about;
}

/** @throws BackupRefused where a table has other rows than were counted when the backup was made */
async function refuseUnlessCounted(url: string, counts: Readonly<Record<string, number>>): Promise<void> {
  const dataSource = await createDataSource(url, { patient: true }).initialize();
  try {
    const found = await countRows(dataSource);
    const other = Object.keys(counts).filter((table) => found[table] !== counts[table]);
    if (other.length > 0) throw new BackupRefused(t.thisBackupIsNotWhole(other.join(', ')));
  } finally {
    await dataSource.destroy();
  }
}

/** @throws BackupRefused where there is a table in it */
export async function refuseUnlessEmpty(url: string): Promise<void> {
  const [row] = await ask<{ n: number }>(
    url,
    `SELECT count(*)::int AS n FROM information_schema.tables WHERE table_schema NOT IN ('pg_catalog', 'information_schema')`,
  );
  if ((row?.n ?? 0) > 0) throw new BackupRefused(t.thisDatabaseIsNotEmpty);
}

/** One question to a database that is not open here. */
async function ask<Row>(url: string, text: string): Promise<readonly Row[]> {
  const dataSource = await createDataSource(url).initialize();
  try {
    return await dataSource.query<Row[]>(text);
  } finally {
    await dataSource.destroy();
  }
}
