import type { DataSource } from 'typeorm';

/** Sizes that the made-up parts come in. */
export const MODULES = [
  0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.0583, 1.125, 1.25, 1.27, 1.375, 1.5, 1.5875, 1.75, 2, 2.1167, 2.25, 2.5, 2.54, 3, 3.175, 3.5, 4,
];

/** Lays so many made-up parts into a shop's catalogue, every fifth with a second seller. */
export async function layInParts(source: DataSource, shopId: string, parts: number): Promise<void> {
  await source.query(
    `INSERT INTO parts (id, shop_id, part_number, name, supplier, type, module_mm, attributes, price_minor, lead_days, stock, claims)
     SELECT gen_random_uuid(), $1, 'MP-' || n, 'Gear ' || n, 'Quernby Spares', t, m,
       jsonb_build_object('type', t, 'teeth', 8 + (n * 7919) % 90, 'normalModuleMm', m, 'pressureAngleDeg', CASE WHEN n % 7 = 0 THEN 14.5 ELSE 20 END,
         'boreShape', (ARRAY['round','round','round','key','hex','dFlat'])[1 + n % 6], 'boreDiameterMm', 3 + (n * 31) % 170 / 10.0,
         'faceWidthMm', 4 + (n * 17) % 40 / 2.0, 'material', (ARRAY['steel','plastic','brass'])[1 + n % 3]),
       300 + n % 4000, n % 14, n % 9, '{}'
     FROM (SELECT n, (ARRAY['spur','spur','spur','helical','bevel','wormWheel'])[1 + (n * 13) % 6] AS t,
             ($3::float8[])[1 + (n * 104729) % array_length($3::float8[], 1)] AS m FROM generate_series(1::bigint, $2) n) rows`,
    [shopId, parts, MODULES],
  );
  await source.query(
    `INSERT INTO listings (part_id, supplier, price_minor, lead_days, stock, claims)
     SELECT id, 'Hobdray Stores', price_minor + 50, 3, 1, '{}' FROM parts WHERE shop_id = $1 AND part_number LIKE 'MP-%' AND price_minor % 5 = 0`,
    [shopId],
  );
  await source.query('VACUUM ANALYZE parts');
  await source.query('VACUUM ANALYZE listings');
}
