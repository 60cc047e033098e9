import type { partList, partChange } from '@patient-badger/contract';
import type { DataSource } from 'typeorm';
import type { z } from 'zod';
import type { Actor } from '../people/actor.ts';
import { partsText, writeAudit } from '../people/audit.ts';
import { ServerProblem } from '../problems.ts';
import { beginningPattern } from '../words.ts';
import { parts, type PartRow } from './entities.ts';

/**
 * Fixed words only: nothing that was sent gets into the statement but as a value. Each ends with what no two parts of a
 * shop share, and an index holds it; parts without a size stand behind those that have one.
 */
const ORDERS = {
  partNumber: ['part_number'],
  price: ['price_minor', 'part_number'],
  size: ["coalesce(module_mm, 'infinity'::float8)", 'coalesce(teeth, 0)', 'part_number'],
} as const;

/** By words of the name or supplier, or by the beginning of a part number. */
export function textCondition(text: string, bind: (value: unknown) => string): string {
  const begins = bind(beginningPattern(text));
  return `(lower(part_number) LIKE ${begins} OR words @@ plainto_tsquery('simple', ${bind(text)}))`;
}

/** A page of the catalogue, behind the part that ended the page before: by words or the beginning of a number, by kind and teeth. */
export async function listParts(dataSource: DataSource, shopId: string, asked: z.output<typeof partList>): Promise<readonly PartRow[]> {
  const { text, kind, teeth, order, down, after, limit } = asked;
  const values: unknown[] = [shopId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['p.shop_id = $1'];
  if (kind) where.push(`p.type = ${bind(kind)}`);
  if (teeth !== undefined) where.push(`p.teeth = ${bind(teeth)}`);
  if (text) where.push(textCondition(text, bind));
  const columns = ORDERS[order].join(', ');
  if (after !== undefined) {
    if (!(await dataSource.getRepository(parts).existsBy({ id: after, shopId })))
      throw new ServerProblem('invalidInput', { path: 'after' });
    where.push(`(${columns}) ${down === 'yes' ? '<' : '>'} (SELECT ${columns} FROM parts WHERE id = ${bind(after)})`);
  }
  const by = ORDERS[order].map((column) => `${column}${down === 'yes' ? ' DESC' : ''}`).join(', ');
  const rows = await dataSource.query<{ id: string }[]>(
    `SELECT p.id FROM parts p WHERE ${where.join(' AND ')} ORDER BY ${by} LIMIT ${bind(limit)}`,
    values,
  );
  const ids = rows.map(({ id }) => id);
  const found = ids.length === 0 ? [] : await dataSource.getRepository(parts).createQueryBuilder('p').whereInIds(ids).getMany();
  const byId = new Map(found.map((row) => [row.id, row]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}

/** Several parts changed alike, all or none; how many there were. */
export async function changeParts(
  dataSource: DataSource,
  { shopId, personId }: Actor,
  { ids, change }: z.output<typeof partChange>,
): Promise<number> {
  const values: unknown[] = [shopId, ids];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const sets = [
    ...(change.supplier === undefined ? [] : [`supplier = ${bind(change.supplier)}`]),
    ...(change.stock === undefined ? [] : [`stock = ${bind(change.stock)}`]),
    ...(change.leadDays === undefined ? [] : [`lead_days = ${bind(change.leadDays)}`]),
    ...(change.pricePercent === undefined ? [] : [`price_minor = round(price_minor * (1 + ${bind(change.pricePercent)}::float8 / 100))`]),
  ];
  return dataSource.transaction(async (manager) => {
    const [, count] = await manager.query<[unknown, number]>(
      `UPDATE parts SET ${sets.join(', ')} WHERE shop_id = $1 AND id = ANY($2::uuid[])`,
      values,
    );
    if (count > 0) await writeAudit(manager, { shopId, by: personId, what: 'partsChanged', about: partsText(count), after: change });
    return count;
  });
}
