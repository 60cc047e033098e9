import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import { once } from 'node:events';
import { finished, pipeline } from 'node:stream/promises';
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
});
export type BackupHeader = z.infer<typeof header>;

const CHECKSUM_BYTES = 64;
/** Nothing of ours begins with a longer line. */
const MOST_HEADER = 1000;

/** A refusal of a backup, in a sentence. */
export class BackupRefused extends Error {}

/**
 * Writes the whole database into one file while people go on writing into it: `pg_dump` reads one snapshot.
 * The file has its name only once it is whole and on disk. Resolves to its size in bytes.
 */
export async function writeBackup(url: string, file: string): Promise<number> {
  const tables = await lastMigration(url);
  const part = `${file}.${randomUUID().slice(0, 8)}.part`;
  try {
    const out = createWriteStream(part, { flags: 'wx', mode: 0o600 });
    const sum = createHash('sha256');
    const write = async (chunk: Buffer) => {
      sum.update(chunk);
      if (!out.write(chunk)) await once(out, 'drain');
    };
    const about: BackupHeader = { format: 'patient-badger-backup', version: 1, madeAt: new Date().toISOString(), tables };
    await write(Buffer.from(`${JSON.stringify(about)}\n`));
    const dump = runTool('pg_dump', url, ['--format=custom', '--no-owner', '--no-privileges']);
    dump.ended.catch(() => undefined);
    for await (const chunk of dump.output) await write(chunk as Buffer);
    await dump.ended;
    out.end(sum.digest('hex'));
    await finished(out);
    await toDisk(part);
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  return (await stat(file)).size;
}

async function toDisk(file: string): Promise<void> {
  const handle = await open(file, 'r');
  await handle.sync();
  await handle.close();
}

/** What a backup says of itself, once all of it adds up. @throws BackupRefused */
export async function checkBackup(file: string): Promise<BackupHeader & { readonly from: number; readonly to: number }> {
  const { size } = await stat(file).catch(() => {
    throw new BackupRefused(`There is no ${file}.`);
  });
  const to = size - CHECKSUM_BYTES;
  const about = to > 0 ? await readHeader(file) : null;
  if (!about) throw new BackupRefused('This file is no backup of Patient Badger.');
  const sum = createHash('sha256');
  await pipeline(createReadStream(file, { end: to - 1 }), sum);
  const told = await readText(file, to, size);
  if (told !== sum.digest('hex'))
    throw new BackupRefused('This backup is damaged or cut short: its checksum does not match. Nothing was restored. Take another one.');
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
  if (!knownMigrations().includes(about.tables))
    throw new BackupRefused('This backup was made by a newer Patient Badger than this one. Restore it with that version or a newer one.');
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
  return about;
}

/** @throws BackupRefused where there is a table in it */
export async function refuseUnlessEmpty(url: string): Promise<void> {
  const [row] = await ask<{ n: number }>(
    url,
    `SELECT count(*)::int AS n FROM information_schema.tables WHERE table_schema NOT IN ('pg_catalog', 'information_schema')`,
  );
  if ((row?.n ?? 0) > 0)
    throw new BackupRefused('This database is not empty. What is in it is never overwritten: restore into a new, empty one.');
}

async function lastMigration(url: string): Promise<string> {
  const [row] = await ask<{ name: string }>(url, 'SELECT name FROM migrations ORDER BY id DESC LIMIT 1');
  if (!row) throw new BackupRefused('There is nothing in this database yet.');
  return row.name;
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
