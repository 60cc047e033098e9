import { createReadStream } from 'node:fs';
import { Unzip, UnzipInflate, UnzipPassThrough, type UnzipFile } from 'fflate';
import type { QueryRunner } from 'typeorm';
import { z } from 'zod';
import { createDataSource, knownMigrations, openDataSource } from '../dataSource.ts';
import { BackupRefused, refuseUnlessEmpty } from './backup.ts';
import { keptColumns, SHOP_TABLES } from './shopTables.ts';

const about = z.object({ format: z.literal('patient-badger-shop'), version: z.literal(1), shopId: z.string(), tables: z.string() });

/** A line of a table, and a photo, may be so long. */
const MOST_LINE = 20_000_000;
const MOST_PHOTO = 12_000_000;
const BATCH = 200;

interface Counted {
  readonly rows: number;
  readonly photos: number;
}

/**
 * Brings a shop that was written out into an empty database: first with the tables as they were then, and
 * from there forward. All or nothing. Its people have no passphrase until somebody gives them one.
 * @throws BackupRefused where the file is none, from a newer program, or the database is not empty
 */
export async function importShop(url: string, file: string): Promise<Counted> {
  const counted = await importAsItWas(url, file);
  await (await openDataSource(url)).destroy();
  return counted;
}

async function importAsItWas(url: string, file: string): Promise<Counted> {
  const tables = await tablesOf(file);
  if (!knownMigrations().includes(tables))
    throw new BackupRefused(
      'This shop was written out by a newer Patient Badger than this one. Bring it in with that version or a newer one.',
    );
  await refuseUnlessEmpty(url);
  const then = await createDataSource(url, { patient: true, upTo: tables }).initialize();
  try {
    await then.runMigrations();
    const runner = then.createQueryRunner();
    try {
      await runner.startTransaction();
      const counted = await takeIn(runner, file);
      await runner.query(`SELECT setval('audit_id_seq', greatest((SELECT coalesce(max(id), 0) FROM audit), 1))`);
      await runner.commitTransaction();
      return counted;
    } catch (error) {
      await runner.rollbackTransaction();
      await then.dropDatabase();
      throw error;
    } finally {
      await runner.release();
    }
  } finally {
    await then.destroy();
  }
}

interface Piece {
  readonly name: string;
  readonly chunk: Uint8Array;
  readonly final: boolean;
}

/** The files of a ZIP piece by piece, in the order in which they lie in it. */
async function* pieces(file: string): AsyncGenerator<Piece> {
  const ready: Piece[] = [];
  const unzip = new Unzip((found: UnzipFile) => {
    found.ondata = (error, chunk, final) => {
      if (error) throw new BackupRefused('This file is damaged: a piece of it cannot be unpacked.');
      ready.push({ name: found.name, chunk, final });
    };
    found.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  const push = (chunk: Uint8Array, final = false) => {
    try {
      unzip.push(chunk, final);
    } catch {
      throw new BackupRefused('This file is damaged or cut short: it cannot be unpacked. Nothing was brought in.');
    }
  };
  let isZip: boolean | null = null;
  for await (const chunk of createReadStream(file)) {
    isZip ??= (chunk as Buffer).subarray(0, 2).toString() === 'PK';
    if (!isZip) throw new BackupRefused('This file is no shop that was written out.');
    push(chunk as Buffer);
    yield* ready.splice(0);
  }
  push(new Uint8Array(), true);
  yield* ready.splice(0);
}

async function tablesOf(file: string): Promise<string> {
  let text = '';
  for await (const { name, chunk, final } of pieces(file)) {
    if (name !== 'about.json') break;
    text += Buffer.from(chunk).toString();
    if (final) {
      const parsed = about.safeParse(JSON.parse(text));
      if (parsed.success) return parsed.data.tables;
      break;
    }
  }
  throw new BackupRefused('This file is no shop that was written out.');
}

async function takeIn(runner: QueryRunner, file: string): Promise<Counted> {
  let rows = 0;
  const photos = new Set<string>();
  const metas = new Map<string, object>();
  const waiting: string[] = [];
  let rest = '';
  let bytes: Uint8Array[] = [];
  const seen = new Set<string>();

  const flush = async (table: string) => {
    const lines = waiting.splice(0);
    if (lines.length === 0) return;
    const known = SHOP_TABLES.find(({ name }) => name === table);
    if (!known) throw new BackupRefused(`This file holds a table that is not known: ${table}.`);
    if (table === 'photos')
      return lines.forEach((line) => metas.set((JSON.parse(line) as { hash: string }).hash, JSON.parse(line) as object));
    const columns = (await keptColumns(runner, table, known.without)).join(', ');
    await runner.query(`INSERT INTO ${table} (${columns}) SELECT ${columns} FROM json_populate_recordset(null::${table}, $1::json)`, [
      `[${lines.join(',')}]`,
    ]);
    rows += lines.length;
  };
  const photoDone = async (name: string) => {
    const [, kind, hash = ''] = /^(photos|previews)\/([0-9a-f]{64})\.(?:png|jpg)$/.exec(name) ?? [];
    const content = Buffer.concat(bytes);
    bytes = [];
    if (!kind) throw new BackupRefused(`This file holds something that is not known: ${name}.`);
    if (kind === 'photos') {
      await runner.query(
        `INSERT INTO photos (shop_id, hash, type, width, height, bytes, preview) SELECT shop_id, hash, type, width, height, $2, ''
         FROM json_populate_record(null::photos, $1::json)`,
        [JSON.stringify(metas.get(hash) ?? {}), content],
      );
      photos.add(hash);
    } else await runner.query('UPDATE photos SET preview = $2 WHERE hash = $1', [hash, content]);
  };

  for await (const { name, chunk, final } of pieces(file)) {
    if (final) seen.add(name);
    if (name === 'about.json') continue;
    if (!name.endsWith('.ndjson')) {
      bytes.push(chunk);
      if (bytes.reduce((sum, each) => sum + each.length, 0) > MOST_PHOTO)
        throw new BackupRefused('A photo in this file is larger than any can be.');
      if (final) await photoDone(name);
      continue;
    }
    const lines = (rest + Buffer.from(chunk).toString()).split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MOST_LINE) throw new BackupRefused('A line in this file is longer than any can be.');
    const table = name.slice(0, -'.ndjson'.length);
    for (const line of lines) {
      waiting.push(line);
      if (waiting.length >= BATCH) await flush(table);
    }
    if (final) await flush(table);
  }
  const missing = SHOP_TABLES.filter(({ name }) => !seen.has(`${name}.ndjson`) && name !== 'audit').map(({ name }) => name);
  if (missing.length > 0 || metas.size !== photos.size)
    throw new BackupRefused('This file is cut short: not everything is in it. Nothing was brought in.');
  return { rows, photos: photos.size };
}
