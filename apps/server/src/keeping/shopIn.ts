import { t } from '@patient-badger/wording/server';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { Unzip, UnzipInflate, UnzipPassThrough, type UnzipFile } from 'fflate';
import type { QueryRunner } from 'typeorm';
import { z } from 'zod';
import { createDataSource, knownMigrations, openDataSource } from '../dataSource.ts';
import { BackupRefused, refuseUnlessEmpty } from './backup.ts';
import { photoHeader } from '../photos/photoHeader.ts';
import { readPhoto } from '../photos/readPhoto.ts';
import { checkRow } from './checkRow.ts';
import { keptColumns, SHOP_TABLES } from './shopTables.ts';

const about = z.object({ format: z.literal('patient-badger-shop'), version: z.literal(1), shopId: z.string(), tables: z.string() });

/** A line of a table, and a photo, may be so long. */
const MOST_LINE = 4_000_000;
const MOST_PHOTO = 12_000_000;
const BATCH = 200;
/** Text packs to a tenth of its size, or a thirtieth; what swells to more than this is no record but a bomb. */
const MOST_SWELLING = 100;
const ALWAYS_ALLOWED = 20_000_000;

interface ImportCounts {
  readonly rows: number;
  readonly photos: number;
}

/**
 * Brings a shop that was written out into an empty database: first with the tables as they were then, and
 * from there forward. All or nothing. Its people have no passphrase until somebody gives them one.
 * @throws BackupRefused where the file is none, from a newer program, or the database is not empty
 */
export async function importShop(url: string, file: string): Promise<ImportCounts> {
  const counted = await importAsItWas(url, file);
  await (await openDataSource(url)).destroy();
  return counted;
}

async function importAsItWas(url: string, file: string): Promise<ImportCounts> {
  const tables = await tablesOf(file);
  if (!knownMigrations().includes(tables)) throw new BackupRefused(t.thisShopWasWrittenOut);
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
      if (error) throw new BackupRefused(t.thisFileIsDamagedA);
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
      throw new BackupRefused(t.thisFileIsDamagedOr);
    }
  };
  let isZip: boolean | null = null;
  let [packed, swollen] = [0, 0];
  const ofPiece = (piece: Piece) => {
    if ((swollen += piece.chunk.length) > ALWAYS_ALLOWED + MOST_SWELLING * packed) throw new BackupRefused(t.thisFileSwellsToFar);
    return piece;
  };
  for await (const chunk of createReadStream(file, { highWaterMark: 16_384 })) {
    packed += (chunk as Buffer).length;
    isZip ??= (chunk as Buffer).subarray(0, 2).toString() === 'PK';
    if (!isZip) throw new BackupRefused(t.thisFileIsNoShop);
    push(chunk as Buffer);
    for (const piece of ready.splice(0)) yield ofPiece(piece);
  }
  push(new Uint8Array(), true);
  for (const piece of ready.splice(0)) yield ofPiece(piece);
}

async function tablesOf(file: string): Promise<string> {
  const words = new TextDecoder();
  let text = '';
  for await (const { name, chunk, final } of pieces(file)) {
    if (name !== 'about.json') break;
    text += words.decode(chunk, { stream: !final });
    if (final) {
      const parsed = about.safeParse(JSON.parse(text));
      if (parsed.success) return parsed.data.tables;
      break;
    }
  }
  throw new BackupRefused(t.thisFileIsNoShop);
}

async function takeIn(runner: QueryRunner, file: string): Promise<ImportCounts> {
  let rows = 0;
  const photos = new Set<string>();
  const metas = new Map<string, object>();
  const waiting: string[] = [];
  const seen = new Set<string>();

  const flush = async (table: string) => {
    const lines = waiting.splice(0);
    if (lines.length === 0) return;
    const known = SHOP_TABLES.find(({ name }) => name === table);
    if (!known) throw new BackupRefused(t.thisFileHoldsATable(table));
    const checked = lines.map((line) => checkRow(table, line));
    if (table === 'photos') return checked.forEach((row) => metas.set(String(row.hash), row));
    const columns = (await keptColumns(runner, table, known.without)).join(', ');
    await runner.query(`INSERT INTO ${table} (${columns}) SELECT ${columns} FROM json_populate_recordset(null::${table}, $1::json)`, [
      `[${lines.join(',')}]`,
    ]);
    rows += lines.length;
  };

  const photoDone = async (name: string, content: Buffer) => {
    const [, kind, hash = ''] = /^(photos|previews)\/([0-9a-f]{64})\.(?:png|jpg)$/.exec(name) ?? [];
    if (!kind) throw new BackupRefused(t.thisFileHoldsSomethingThat(name));
    // Previews are made anew: what a stranger lays beside a photo is shown to nobody.
    if (kind === 'previews') return;
    const meta = metas.get(hash);
    if (!meta || createHash('sha256').update(content).digest('hex') !== hash) throw new BackupRefused(t.aPhotoInThisFileIs(name));
    const read = photoHeader(content).ok ? readPhoto(content) : null;
    if (!read?.ok) throw new BackupRefused(t.aPhotoInThisFileIsNone(name));
    const { type, width, height, preview } = read.photo;
    await runner.query(
      `INSERT INTO photos (shop_id, hash, type, width, height, bytes, preview)
       SELECT shop_id, hash, $2, $3, $4, $5, $6 FROM json_populate_record(null::photos, $1::json)`,
      [JSON.stringify(meta), type, width, height, content, preview],
    );
    photos.add(hash);
  };

  let of = '';
  let words = new TextDecoder('utf-8', { fatal: true });
  let rest = '';
  let bytes: Uint8Array[] = [];
  let held = 0;
  for await (const { name, chunk, final } of pieces(file)) {
    if (name !== of) {
      [of, rest, bytes, held] = [name, '', [], 0];
      words = new TextDecoder('utf-8', { fatal: true });
    }
    if (final) seen.add(name);
    if (name === 'about.json') continue;
    if (!name.endsWith('.ndjson')) {
      bytes.push(chunk);
      if ((held += chunk.length) > MOST_PHOTO) throw new BackupRefused(t.aPhotoInThisFile);
      if (final) await photoDone(name, Buffer.concat(bytes.splice(0)));
      continue;
    }
    // A sign may lie across two pieces: what is left of it waits for the next.
    const lines = (rest + decoded(words, chunk, final)).split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MOST_LINE) throw new BackupRefused(t.aLineInThisFile);
    const table = name.slice(0, -'.ndjson'.length);
    for (const line of lines) {
      waiting.push(line);
      if (waiting.length >= BATCH) await flush(table);
    }
    if (final) await flush(table);
  }
  // A release that did not have a table yet could not write it out.
  const there = (await runner.query(`SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'`)) as {
    name: string;
  }[];
  const missing = there.filter(({ name }) => SHOP_TABLES.some((each) => each.name === name) && !seen.has(`${name}.ndjson`));
  if (missing.length > 0 || metas.size !== photos.size) throw new BackupRefused(t.thisFileIsCutShort);
  return { rows, photos: photos.size };
}

function decoded(words: InstanceType<typeof TextDecoder>, chunk: Uint8Array, final: boolean): string {
  try {
    return words.decode(chunk, { stream: !final });
  } catch {
    throw new BackupRefused(t.thisFileIsDamagedAPiece);
  }
}
