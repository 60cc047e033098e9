import type { Listing, partSearch } from '@patient-badger/contract';
import { plain } from '@patient-badger/core';
import { dimensionsOf, fit, partSizeMm, type PartAttributes, type MatchFit } from '@patient-badger/core/parts';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import { textCondition } from './partList.ts';
import { listingsOf } from './partDetails.ts';
import { parts, type PartRow } from './entities.ts';

export interface PartFound {
  readonly row: PartRow;
  /** What further sellers ask for it. */
  readonly listings: readonly Listing[];
  readonly fit: MatchFit;
  /** Sellers that say it fits the machine. */
  readonly claimedBy: readonly string[];
}

type PartQuery = Pick<z.input<typeof partSearch>, 'wanted' | 'machineModel' | 'text' | 'only' | 'inStock' | 'numbers'> & {
  readonly shopId: string;
  readonly limit: number;
};

/** A pitch this far off still fits (share; `match.fit` judges by 0.6 %). */
const SAME = 0.007;
/** Sizes this far from the wanted one are still shown, as what they are: near-misses. */
const NEAR = 0.08;
/** Rows judged attribute by attribute: those that could fit, and near-misses beside them. */
const [COULD_FIT, NEAR_MISSES] = [160, 60];
/** Without a count to go by, no more rows than this are looked at on the index. */
const WALKED = 2000;

/**
 * The parts that fit best by their dimensions. PostgreSQL walks an index that holds size, teeth, bore and
 * width, so that only the nearest rows are read whole; those are judged by `match.fit` and ranked by their
 * probability, then by price.
 */
export async function searchParts(manager: EntityManager, asked: PartQuery): Promise<readonly PartFound[]> {
  const { shopId, wanted, machineModel, limit, text, numbers = [] } = asked;
  const size = partSizeMm(wanted);
  const ids = new Set<string>();
  const walk = async (within: number, teeth: readonly [number, number] | null, keep: number) => {
    for (const id of await nearest(manager, { shopId, wanted, size, within, teeth, keep, text })) ids.add(id);
  };
  const count = wanted.teeth ?? null;
  await walk(SAME, count === null ? null : [count, count], COULD_FIT);
  await walk(NEAR, count === null ? null : [count - 1, count + 1], NEAR_MISSES);
  if (ids.size === 0) await walk(NEAR, null, NEAR_MISSES);
  const rows = await rowsOf(manager, { shopId, ids: [...ids], numbers });
  const sellers = await listingsOf(
    manager,
    rows.map(({ id }) => id),
  );
  const found = rows.map((row) => {
    const listings = sellers.get(row.id) ?? [];
    const offers = [row, ...listings];
    const claims = [...new Set(offers.flatMap((each) => each.claims))];
    return {
      row,
      listings,
      cheapest: Math.min(...offers.map(({ priceMinor }) => priceMinor)),
      stock: offers.reduce((sum, each) => sum + each.stock, 0),
      claimedBy: machineModel === undefined ? [] : offers.filter((each) => each.claims.includes(machineModel)).map((each) => each.supplier),
      fit: fit({ wanted, part: row.attributes, claims, machine: machineModel }),
    };
  });
  const named = (row: PartRow) => numbers.includes(row.partNumber);
  return found
    .filter((each) => named(each.row) || passes(asked, each.fit, each.stock))
    .sort(
      (a, b) =>
        Number(named(b.row)) - Number(named(a.row)) ||
        b.fit.probability - a.fit.probability ||
        a.cheapest - b.cheapest ||
        (a.row.partNumber < b.row.partNumber ? -1 : 1),
    )
    .slice(0, limit)
    .map(({ row, listings, fit, claimedBy }) => ({ row, listings, fit, claimedBy }));
}

function passes({ only, inStock = false }: PartQuery, { attributes }: MatchFit, stock: number): boolean {
  if (inStock && stock === 0) return false;
  if (only === undefined) return true;
  return attributes.every(({ state }) => state !== 'doesNotFit' && (only === 'afterWork' || state !== 'fitsAfterWork'));
}

interface RowsOfOptions {
  readonly shopId: string;
  readonly ids: readonly string[];
  readonly numbers: readonly string[];
}

async function rowsOf(manager: EntityManager, { shopId, ids, numbers }: RowsOfOptions): Promise<readonly PartRow[]> {
  if (ids.length === 0 && numbers.length === 0) return [];
  const query = manager.getRepository(parts).createQueryBuilder('p').where('p.shopId = :shopId', { shopId });
  return query.andWhere('(p.id = ANY(:ids) OR p.partNumber = ANY(:numbers))', { ids, numbers }).getMany();
}

interface Walk {
  readonly shopId: string;
  readonly wanted: PartAttributes;
  readonly size: number | null;
  readonly within: number;
  readonly teeth: readonly [number, number] | null;
  readonly keep: number;
  readonly text: string | undefined;
}

/** Ids of the rows whose bore and width lie nearest, off the index alone; what is not known counts as a little off. */
async function nearest(manager: EntityManager, { shopId, wanted, size, within, teeth, keep, text }: Walk): Promise<readonly string[]> {
  const values: unknown[] = [shopId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['shop_id = $1'];
  if (wanted.type) where.push(`type = ${bind(wanted.type)}`);
  if (size !== null) where.push(`module_mm BETWEEN ${bind(size * (1 - within))} AND ${bind(size * (1 + within))}`);
  if (teeth) where.push(`teeth BETWEEN ${bind(teeth[0])} AND ${bind(teeth[1])}`);
  if (text) where.push(textCondition(text, bind));
  const off = (column: string, value: number | undefined) => (value === undefined ? '0' : `COALESCE(ABS(${column} - ${bind(value)}), 0.5)`);
  // The few dimensions of a part that is no gear are read out of its row: a shop has hundreds of those, not hundreds of thousands.
  const given = (name: string) =>
    `(CASE jsonb_typeof(attributes->'${name}') WHEN 'number' THEN (attributes->>'${name}')::float8 ELSE (attributes->'${name}'->>'value')::float8 END)`;
  const plainOff = dimensionsOf(wanted).map((name) => off(given(name), plain(wanted[name])));
  const distance =
    plainOff.length > 0
      ? plainOff.join(' + ')
      : `${off('bore_mm', plain(wanted.boreDiameterMm))} + ${off('face_mm', plain(wanted.faceWidthMm))}`;
  const sizeOff = size === null ? '0' : `20 * ABS(module_mm - ${bind(size)}) / ${bind(size)}`;
  const rows = await manager.query<{ id: string }[]>(
    `SELECT id FROM (SELECT id, ${distance} + ${sizeOff} AS off FROM parts WHERE ${where.join(' AND ')}${teeth ? '' : ` LIMIT ${WALKED}`}) near ORDER BY off, id LIMIT ${keep}`,
    values,
  );
  return rows.map(({ id }) => id);
}
