import type { Listing, Part, PartLink } from '@patient-badger/contract';
import { In, type EntityManager } from 'typeorm';
import { listings, partLinks, parts, type PartRow } from './entities.ts';

/** What further sellers ask for these parts, the cheapest first. */
export async function listingsOf(manager: EntityManager, ids: readonly string[]): Promise<ReadonlyMap<string, readonly Listing[]>> {
  const rows = ids.length === 0 ? [] : await manager.find(listings, { where: { partId: In([...ids]) }, order: { priceMinor: 'ASC' } });
  return groupBy(rows, ({ partId: _, ...listing }): Listing => listing);
}

/** Rows of parts with their sellers, where those are not known already, and what is named in their place. */
export async function partsWithDetails(
  manager: EntityManager,
  rows: readonly PartRow[],
  known?: ReadonlyMap<string, readonly Listing[]>,
): Promise<readonly Part[]> {
  const ids = rows.map(({ id }) => id);
  const [sellers, links] = [known ?? (await listingsOf(manager, ids)), await linksOf(manager, rows)];
  return rows.map(({ shopId: _, type: __, moduleMm: ___, ...row }) => ({
    ...row,
    listings: [...(sellers.get(row.id) ?? [])],
    links: [...(links.get(row.id) ?? [])],
  }));
}

async function linksOf(manager: EntityManager, rows: readonly PartRow[]): Promise<ReadonlyMap<string, readonly PartLink[]>> {
  const [shopId] = rows.map((row) => row.shopId);
  if (shopId === undefined) return new Map();
  const links = await manager.find(partLinks, {
    where: { partId: In(rows.map(({ id }) => id)) },
    order: { kind: 'DESC', toNumber: 'ASC' },
  });
  const numbers = [...new Set(links.map(({ toNumber }) => toNumber))];
  const named = numbers.length === 0 ? [] : await manager.findBy(parts, { shopId, partNumber: In(numbers) });
  return groupBy(links, ({ kind, toNumber }): PartLink => {
    const found = named.find(({ partNumber }) => partNumber === toNumber);
    return { kind, partNumber: toNumber, part: found ? { id: found.id, name: found.name, attributes: found.attributes } : null };
  });
}

function groupBy<Row extends { readonly partId: string }, T>(
  rows: readonly Row[],
  made: (row: Row) => T,
): ReadonlyMap<string, readonly T[]> {
  const map = new Map<string, T[]>();
  for (const row of rows) map.set(row.partId, [...(map.get(row.partId) ?? []), made(row)]);
  return map;
}
