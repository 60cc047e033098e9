import { fit, type GearAttributes, type MatchFit } from '@patient-badger/core';
import type { EntityManager } from 'typeorm';
import { parts, type PartRow } from '../entities/index.ts';

export interface PartFound {
  readonly row: PartRow;
  readonly fit: MatchFit;
}

interface Asked {
  readonly shopId: string;
  readonly wanted: GearAttributes;
  readonly machineModel?: string;
  readonly most: number;
}

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
export async function searchParts(manager: EntityManager, { shopId, wanted, machineModel, most }: Asked): Promise<readonly PartFound[]> {
  const size = sizeOf(wanted);
  const ids = new Set<string>();
  const walk = async (within: number, teeth: readonly [number, number] | null, keep: number) => {
    for (const id of await nearest(manager, { shopId, wanted, size, within, teeth, keep })) ids.add(id);
  };
  const count = wanted.teeth ?? null;
  await walk(SAME, count === null ? null : [count, count], COULD_FIT);
  await walk(NEAR, count === null ? null : [count - 1, count + 1], NEAR_MISSES);
  if (ids.size === 0) await walk(NEAR, null, NEAR_MISSES);
  const rows =
    ids.size === 0
      ? []
      : await manager
          .getRepository(parts)
          .createQueryBuilder('p')
          .whereInIds([...ids])
          .getMany();
  return rows
    .map((row) => ({ row, fit: fit({ wanted, part: row.attributes, claims: row.claims, machine: machineModel }) }))
    .sort(
      (a, b) =>
        b.fit.probability - a.fit.probability || a.row.priceMinor - b.row.priceMinor || (a.row.partNumber < b.row.partNumber ? -1 : 1),
    )
    .slice(0, most);
}

interface Walk {
  readonly shopId: string;
  readonly wanted: GearAttributes;
  readonly size: number | null;
  readonly within: number;
  readonly teeth: readonly [number, number] | null;
  readonly keep: number;
}

/** Ids of the rows whose bore and width lie nearest, off the index alone; what is not known counts as a little off. */
async function nearest(manager: EntityManager, { shopId, wanted, size, within, teeth, keep }: Walk): Promise<readonly string[]> {
  const values: unknown[] = [shopId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['shop_id = $1'];
  if (wanted.type) where.push(`type = ${bind(wanted.type)}`);
  if (size !== null) where.push(`module_mm BETWEEN ${bind(size * (1 - within))} AND ${bind(size * (1 + within))}`);
  if (teeth) where.push(`teeth BETWEEN ${bind(teeth[0])} AND ${bind(teeth[1])}`);
  const off = (column: string, value: number | undefined) => (value === undefined ? '0' : `COALESCE(ABS(${column} - ${bind(value)}), 0.5)`);
  const distance = `${off('bore_mm', plain(wanted.boreDiameterMm))} + ${off('face_mm', plain(wanted.faceWidthMm))}`;
  const sizeOff = size === null ? '0' : `20 * ABS(module_mm - ${bind(size)}) / ${bind(size)}`;
  const rows = (await manager.query(
    `SELECT id FROM (SELECT id, ${distance} + ${sizeOff} AS off FROM parts WHERE ${where.join(' AND ')}${teeth ? '' : ` LIMIT ${WALKED}`}) near ORDER BY off, id LIMIT ${keep}`,
    values,
  )) as { id: string }[];
  return rows.map(({ id }) => id);
}

function sizeOf(wanted: GearAttributes): number | null {
  return plain(wanted.axialModuleMm ?? wanted.normalModuleMm) ?? (wanted.diametralPitch ? 25.4 / wanted.diametralPitch : null);
}

const plain = (given: number | { readonly value: number } | undefined): number | undefined =>
  typeof given === 'object' ? given.value : given;
