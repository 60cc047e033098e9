import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { DataSource } from 'typeorm';
import { knownMigrations } from '../dataSource.ts';
import { keptColumns, SHOP_TABLES, type ShopTable } from './shopTables.ts';

/** Rows read at a time: no shop stands in memory whole. */
const BATCH = 500;
/** Photos are large: few at a time. */
const PHOTO_BATCH = 8;

const encoder = new TextEncoder();

/**
 * A whole shop as a ZIP of open JSON, one row a line, in a file for each table, and its photos as they were
 * taken. Secrets and sessions are not in it. All from one snapshot, whoever writes meanwhile.
 */
export async function* exportShop(dataSource: DataSource, shopId: string): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  const runner = dataSource.createQueryRunner();
  try {
    await runner.startTransaction('REPEATABLE READ');
    const about = new ZipDeflate('about.json');
    zip.add(about);
    about.push(
      encoder.encode(JSON.stringify({ format: 'patient-badger-shop', version: 1, shopId, tables: knownMigrations().at(-1) })),
      true,
    );
    for (const table of SHOP_TABLES) {
      const file = new ZipDeflate(`${table.name}.ndjson`);
      zip.add(file);
      for await (const lines of linesOf(runner, table, shopId)) {
        file.push(encoder.encode(lines));
        yield* ready.splice(0);
      }
      file.push(new Uint8Array(), true);
      yield* ready.splice(0);
    }
    for (let after = ''; ;) {
      const photos = (await runner.query(
        'SELECT hash, type, bytes, preview FROM photos WHERE shop_id = $1 AND hash > $2 ORDER BY hash LIMIT $3',
        [shopId, after, PHOTO_BATCH],
      )) as { hash: string; type: string; bytes: Buffer; preview: Buffer }[];
      const last = photos.at(-1);
      if (!last) break;
      for (const { hash, type, bytes, preview } of photos) {
        // Photos are packed already.
        const files = [
          [`photos/${hash}.${type === 'image/png' ? 'png' : 'jpg'}`, bytes],
          [`previews/${hash}.jpg`, preview],
        ] as const;
        for (const [name, content] of files) {
          const file = new ZipPassThrough(name);
          zip.add(file);
          file.push(content, true);
        }
        yield* ready.splice(0);
      }
      after = last.hash;
    }
    zip.end();
    yield* ready.splice(0);
    await runner.commitTransaction();
  } finally {
    if (runner.isTransactionActive) await runner.rollbackTransaction().catch(() => undefined);
    await runner.release();
  }
}

async function* linesOf(
  runner: { query: (text: string, values: unknown[]) => Promise<unknown> },
  { name, ofShop, order, without }: ShopTable,
  shopId: string,
): AsyncGenerator<string> {
  const columns = await keptColumns(runner, name, without);
  const key = order.split(', ');
  for (let after: readonly string[] | null = null; ;) {
    const behind = after ? `AND (${order}) > (${key.map((_, i) => `$${i + 3}`).join(', ')})` : '';
    const rows = (await runner.query(
      `SELECT row_to_json(x)::text AS line, ARRAY[${key.map((column) => `${column}::text`).join(', ')}] AS key
       FROM (SELECT ${columns.join(', ')} FROM ${name} t WHERE ${ofShop} ${behind} ORDER BY ${order} LIMIT $2) x`,
      [shopId, BATCH, ...(after ?? [])],
    )) as { line: string; key: readonly string[] }[];
    const last = rows.at(-1);
    if (!last) return;
    yield rows.map(({ line }) => `${line}\n`).join('');
    if (rows.length < BATCH) return;
    after = last.key;
  }
}
