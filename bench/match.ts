/**
 * How quickly the twenty best parts are found by dimensions among a million, through the server's own
 * search on a real database.
 *
 *   npm run bench:match [-- PARTS]     (default 1000000)
 *
 * Baseline in the same run: the same questions with PostgreSQL kept from its indexes (a full scan).
 */
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cpus } from 'node:os';
import { createDataSource } from '../apps/server/src/dataSource.ts';
import { beginImport, importStateOf } from '../apps/server/src/imports/imports.ts';
import { searchParts } from '../apps/server/src/parts/search.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { sql } from '../e2e/stage.ts';
import { layInParts, MODULES } from './manyParts.ts';
import type { PartAttributes } from '@patient-badger/core/parts';

const SHOP_ID = 'shed';
const PARTS = Number(process.argv[2] ?? 1_000_000);
const [QUESTIONS, SCANS, IMPORTED] = [300, 12, 100_000];
const cluster = process.env.TEST_DATABASE_URL;
if (!cluster) throw new Error('Run it with npm run bench:match');
const name = `bench_${Date.now()}`;
await sql(cluster, `CREATE DATABASE ${name}`);
const url = Object.assign(new URL(cluster), { pathname: `/${name}` }).href;
const source = await createDataSource(url).initialize();
try {
  await source.runMigrations();
  await source.query(`INSERT INTO shops (id, name, currency) VALUES ($1, 'bench', 'EUR')`, [SHOP_ID]);
  const began = performance.now();
  await layInParts(source, SHOP_ID, PARTS);
  console.log(`${PARTS} parts laid in, ${Math.round((performance.now() - began) / 1000)} s with the indexes`);

  const random = seeded(20261125);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const asked = Array.from({ length: QUESTIONS }, (): PartAttributes => ({
    type: pick(['spur', 'helical', 'bevel', 'wormWheel']),
    teeth: 8 + Math.floor(90 * random()),
    normalModuleMm: pick(MODULES),
    pressureAngleDeg: 20,
    boreDiameterMm: { value: 3 + 17 * random(), plusMinus: 0.03 },
    faceWidthMm: { value: 4 + 20 * random(), plusMinus: 0.03 },
  }));
  const search = (wanted: PartAttributes) => searchParts(source.manager, { shopId: SHOP_ID, wanted, limit: 20 });
  const time = async (questions: readonly PartAttributes[]) => {
    const times: number[] = [];
    for (const wanted of questions) {
      const start = performance.now();
      await search(wanted);
      times.push(performance.now() - start);
    }
    return times.sort((p, q) => p - q);
  };
  const at = (times: readonly number[], share: number) => times[Math.floor(share * (times.length - 1))] ?? NaN;
  // Warm: every question once before it is timed.
  await time(asked);
  const indexed = await time(asked);
  const lines = Array.from({ length: IMPORTED }, (_, i) =>
    JSON.stringify({
      partNumber: `LIST-${i}`,
      name: `Gear ${i}`,
      supplier: 'Hobdray Stores',
      attributes: { type: 'spur', teeth: 10 + (i % 60), normalModuleMm: pick(MODULES), boreDiameterMm: 8, faceWidthMm: 10 },
      priceMinor: 950,
      leadDays: 2,
      stock: 1,
      claims: [],
    }),
  );
  await source.query(`INSERT INTO people (id, shop_id, name, role) VALUES ('bench', $1, 'Bench', 'none')`, [SHOP_ID]);
  const bytes = Buffer.from(lines.join('\n'));
  const list = join(await mkdtemp(join(tmpdir(), 'badger-list-')), 'list.ndjson');
  await writeFile(list, bytes);
  globalThis.gc?.();
  const before = process.memoryUsage().rss;
  let [peak, longest, last] = [0, 0, performance.now()];
  const watch = setInterval(() => {
    peak = Math.max(peak, process.memoryUsage().rss);
    longest = Math.max(longest, performance.now() - last);
    last = performance.now();
  }, 10);
  const importing = performance.now();
  let state = await beginImport(source, { shopId: SHOP_ID, by: 'bench', file: list, duplicates: 'refuse' });
  while (state.state === 'running') {
    await new Promise((resolve) => setTimeout(resolve, 50));
    state = await importStateOf(source, SHOP_ID, state.id);
  }
  const seconds = (performance.now() - importing) / 1000;
  clearInterval(watch);
  if (state.state !== 'done') throw new Error(state.sentence ?? state.state);
  console.log(
    `${IMPORTED} parts (${(bytes.length / 1e6).toFixed(0)} MB) taken in beside them on a thread of their own, in one transaction: ${seconds.toFixed(1)} s, ${Math.round(IMPORTED / seconds)} a second; memory at most ${Math.round((peak - before) / 1048576)} MB more; the answering thread stood still for ${Math.round(longest)} ms at most`,
  );
  await source.query(`ALTER DATABASE ${name} SET enable_indexscan = off`);
  await source.query(`ALTER DATABASE ${name} SET enable_indexonlyscan = off`);
  await source.query(`ALTER DATABASE ${name} SET enable_bitmapscan = off`);
  await source.destroy();
  await source.initialize();
  const scanned = await time(asked.slice(0, SCANS));
  console.table({
    'by the index': { median: at(indexed, 0.5).toFixed(1), 'p95 ms': at(indexed, 0.95).toFixed(1), worst: at(indexed, 1).toFixed(1) },
    'full scan': { median: at(scanned, 0.5).toFixed(1), 'p95 ms': at(scanned, 0.95).toFixed(1), worst: at(scanned, 1).toFixed(1) },
  });
  console.log(
    `twenty best of ${PARTS}, ${QUESTIONS} questions warm; to reach: p95 50 ms. By the index to a full scan, medians: 1 : ${(at(scanned, 0.5) / at(indexed, 0.5)).toFixed(0)}. ${cpus()[0]?.model ?? ''}`,
  );
} finally {
  if (source.isInitialized) await source.destroy();
  await sql(cluster, `DROP DATABASE ${name} WITH (FORCE)`);
}
