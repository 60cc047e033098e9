/**
 * How quickly the twenty best parts are found by dimensions among a million, through the server's own
 * search on a real database.
 *
 *   npm run bench:match [-- PARTS]     (default 1000000)
 *
 * Baseline in the same run: the same questions with PostgreSQL kept from its indexes (a full scan).
 */
import { cpus } from 'node:os';
import { createDataSource } from '../apps/server/src/dataSource.ts';
import { THE_SHOP } from '../apps/server/src/plugins/actor.ts';
import { importParts } from '../apps/server/src/parts/importParts.ts';
import { searchParts } from '../apps/server/src/parts/search.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { sql } from '../e2e/stage.ts';
import type { GearAttributes } from '@patient-badger/core';

const PARTS = Number(process.argv[2] ?? 1_000_000);
const [QUESTIONS, SCANS, IMPORTED] = [300, 12, 100_000];
const cluster = process.env.TEST_DATABASE_URL;
if (!cluster) throw new Error('Run it with npm run bench:match');
const name = `bench_${Date.now()}`;
await sql(cluster, `CREATE DATABASE ${name}`);
const url = Object.assign(new URL(cluster), { pathname: `/${name}` }).href;
const source = await createDataSource(url).initialize();
const MODULES = [
  0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.0583, 1.125, 1.25, 1.27, 1.375, 1.5, 1.5875, 1.75, 2, 2.1167, 2.25, 2.5, 2.54, 3, 3.175, 3.5, 4,
];
try {
  await source.runMigrations();
  await source.query(`INSERT INTO shops (id, name, currency) VALUES ($1, 'bench', 'EUR')`, [THE_SHOP]);
  const began = performance.now();
  await source.query(
    `INSERT INTO parts (id, shop_id, part_number, name, supplier, type, module_mm, attributes, price_minor, lead_days, stock, claims)
     SELECT gen_random_uuid(), $1, 'QB-' || n, 'Gear ' || n, 'Quernby Spares', t, m,
       jsonb_build_object('type', t, 'teeth', 8 + (n * 7919) % 90, 'normalModuleMm', m, 'pressureAngleDeg', CASE WHEN n % 7 = 0 THEN 14.5 ELSE 20 END,
         'boreShape', (ARRAY['round','round','round','key','hex','dFlat'])[1 + n % 6], 'boreDiameterMm', 3 + (n * 31) % 170 / 10.0,
         'faceWidthMm', 4 + (n * 17) % 40 / 2.0, 'material', (ARRAY['steel','plastic','brass'])[1 + n % 3]),
       300 + n % 4000, n % 14, n % 9, '{}'
     FROM (SELECT n, (ARRAY['spur','spur','spur','helical','bevel','wormWheel'])[1 + (n * 13) % 6] AS t,
             ($3::float8[])[1 + (n * 104729) % array_length($3::float8[], 1)] AS m FROM generate_series(1::bigint, $2) n) rows`,
    [THE_SHOP, PARTS, MODULES],
  );
  await source.query('VACUUM ANALYZE parts');
  console.log(`${PARTS} parts laid in, ${Math.round((performance.now() - began) / 1000)} s with the indexes`);

  const random = seeded(20261125);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const asked = Array.from({ length: QUESTIONS }, (): GearAttributes => ({
    type: pick(['spur', 'helical', 'bevel', 'wormWheel']),
    teeth: 8 + Math.floor(90 * random()),
    normalModuleMm: pick(MODULES),
    pressureAngleDeg: 20,
    boreDiameterMm: { value: 3 + 17 * random(), plusMinus: 0.03 },
    faceWidthMm: { value: 4 + 20 * random(), plusMinus: 0.03 },
  }));
  const search = (wanted: GearAttributes) => searchParts(source.manager, { shopId: THE_SHOP, wanted, most: 20 });
  const time = async (questions: readonly GearAttributes[]) => {
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
  const list = Array.from({ length: IMPORTED }, (_, i) => ({
    partNumber: `LIST-${i}`,
    name: `Gear ${i}`,
    supplier: 'Hobdray Stores',
    attributes: { type: 'spur' as const, teeth: 10 + (i % 60), normalModuleMm: pick(MODULES), boreDiameterMm: 8, faceWidthMm: 10 },
    priceMinor: 950,
    leadDays: 2,
    stock: 1,
    claims: [],
  }));
  let peak = 0;
  const watch = setInterval(() => (peak = Math.max(peak, process.memoryUsage().rss)), 20);
  const before = process.memoryUsage().rss;
  const importing = performance.now();
  await importParts(source, THE_SHOP, { parts: list, duplicates: 'refuse' });
  const seconds = (performance.now() - importing) / 1000;
  clearInterval(watch);
  console.log(
    `${IMPORTED} parts of a list taken in beside them, in one transaction: ${seconds.toFixed(1)} s, ${Math.round(IMPORTED / seconds)} a second; memory at most ${Math.round((peak - before) / 1048576)} MB more`,
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
