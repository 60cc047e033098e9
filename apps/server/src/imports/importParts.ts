import { randomUUID } from 'node:crypto';
import type { Duplicates, ImportState, PartDraftSent } from '@patient-badger/contract';
import { isOneGear, partSizeMm, type PartAttributes } from '@patient-badger/core/parts';
import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';

/** Part numbers a statement; more make it no quicker. */
const BATCH_SIZE = 2000;

export interface ImportJob {
  readonly shopId: string;
  readonly rows: readonly PartDraftSent[];
  readonly duplicates: Duplicates;
  /** Rows done so far, after each batch; whoever throws here stops it, and nothing of it is kept. */
  readonly onBatch?: (done: number) => Promise<void>;
  /** The last thing in the transaction; whoever throws here throws all of it away. */
  readonly onDone?: (manager: EntityManager, receipt: Receipt) => Promise<void>;
}

type Receipt = NonNullable<ImportState['receipt']>;

/**
 * Takes a list of parts into the catalogue, all or none: one transaction round every batch. The first row of
 * a part number is the part; further rows of it are further sellers. A number that is there already makes
 * the whole list be refused, is skipped, or has each seller's row put in place of that seller's old one, as asked.
 * @throws ServerProblem partsKnown, or anotherGear where a number stands for two gears
 */
export function importParts(dataSource: DataSource, { shopId, rows, duplicates, onBatch, onDone }: ImportJob): Promise<Receipt> {
  const groups = [...byNumber(rows).values()];
  return dataSource.transaction(async (manager) => {
    let [added, replaced, done] = [0, 0, 0];
    for (let i = 0; i < groups.length; i += BATCH_SIZE) {
      const batch = groups.slice(i, i + BATCH_SIZE);
      const known = await knownOf(manager, shopId, batch);
      if (known.size > 0 && duplicates === 'refuse') throw new ServerProblem('partsKnown');
      const taken = duplicates === 'skip' ? batch.filter(([first]) => !known.has(first.partNumber)) : batch;
      const result = await takeBatch(manager, { shopId, groups: taken, known });
      added += result.added;
      replaced += result.replaced;
      done += batch.reduce((sum, group) => sum + group.length, 0);
      await onBatch?.(done);
    }
    const receipt = { added, replaced, skipped: rows.length - added - replaced };
    await onDone?.(manager, receipt);
    return receipt;
  });
}

type Group = readonly [PartDraftSent, ...PartDraftSent[]];

/** Rows by their number; of a seller that stands there twice under one number the last counts. */
function byNumber(rows: readonly PartDraftSent[]): ReadonlyMap<string, Group> {
  const groups = new Map<string, Group>();
  for (const row of rows) {
    const group = groups.get(row.partNumber);
    if (!group) groups.set(row.partNumber, [row]);
    else {
      const at = group.findIndex(({ supplier }) => supplier === row.supplier);
      groups.set(row.partNumber, (at < 0 ? [...group, row] : group.with(at, row)) as unknown as Group);
    }
  }
  return groups;
}

interface KnownPart {
  readonly supplier: string;
  readonly attributes: PartAttributes;
}

/** Numbers that were in the catalogue before: whose each is, and which gear. */
async function knownOf(manager: EntityManager, shopId: string, batch: readonly Group[]): Promise<ReadonlyMap<string, KnownPart>> {
  const numbers = batch.map(([first]) => first.partNumber);
  const found = await manager.query<{ partNumber: string; supplier: string; attributes: PartAttributes }[]>(
    'SELECT part_number AS "partNumber", supplier, attributes FROM parts WHERE shop_id = $1 AND part_number = ANY($2)',
    [shopId, numbers],
  );
  return new Map(found.map((row) => [row.partNumber, row]));
}

/** One number is one gear, whoever sells it. @throws ServerProblem anotherGear */
function refuseAnotherGear(rows: readonly PartDraftSent[], gearOf: (partNumber: string) => PartAttributes | undefined): void {
  for (const { partNumber, supplier, attributes } of rows) {
    const gear = gearOf(partNumber);
    if (gear && !isOneGear(gear, attributes))
      throw new ServerProblem('anotherGear', { path: partNumber, detail: { partNumber, supplier } });
  }
}

interface Batch {
  readonly shopId: string;
  readonly groups: readonly Group[];
  readonly known: ReadonlyMap<string, KnownPart>;
}

async function takeBatch(manager: EntityManager, { shopId, groups, known }: Batch): Promise<{ added: number; replaced: number }> {
  // A number that is there already keeps its own supplier; a list of another's brings further sellers.
  const ownerOf = (group: Group) => known.get(group[0].partNumber)?.supplier ?? group[0].supplier;
  const own = groups.flatMap((group) => group.filter(({ supplier }) => supplier === ownerOf(group)));
  const further = groups.flatMap((group) => group.filter(({ supplier }) => supplier !== ownerOf(group)));
  const ownGear = new Map(own.map(({ partNumber, attributes }) => [partNumber, attributes]));
  refuseAnotherGear(further, (number) => ownGear.get(number) ?? known.get(number)?.attributes);
  const fresh = [...(await insertParts(manager, shopId, own)), ...(await insertListings(manager, shopId, further))];
  await forgetLinks(
    manager,
    shopId,
    own.map(({ partNumber }) => partNumber).filter((number) => known.has(number)),
  );
  await linkParts(manager, shopId, own);
  const added = fresh.filter((each) => each.added).length;
  return { added, replaced: fresh.length - added };
}

type UpsertRows = readonly { readonly added: boolean }[];

async function insertParts(manager: EntityManager, shopId: string, rows: readonly PartDraftSent[]): Promise<UpsertRows> {
  const list = rows.map(({ attributes, ...each }) => ({
    ...each,
    id: randomUUID(),
    attributes,
    type: attributes.type,
    moduleMm: partSizeMm(attributes),
  }));
  if (list.length === 0) return [];
  return await manager.query<UpsertRows>(
    `INSERT INTO parts (id, shop_id, part_number, name, supplier, type, module_mm, attributes, price_minor, lead_days, stock, claims)
     SELECT r.id, $1, r."partNumber", r.name, r.supplier, r.type, r."moduleMm", r.attributes, r."priceMinor", r."leadDays", r.stock,
       ARRAY(SELECT jsonb_array_elements_text(r.claims))
     FROM jsonb_to_recordset($2::jsonb) AS r(id uuid, "partNumber" text, name text, supplier text, type text, "moduleMm" float8,
       attributes jsonb, "priceMinor" int, "leadDays" int, stock int, claims jsonb)
     ON CONFLICT (shop_id, part_number) DO UPDATE SET name = excluded.name, type = excluded.type, module_mm = excluded.module_mm,
       attributes = excluded.attributes, price_minor = excluded.price_minor, lead_days = excluded.lead_days,
       stock = excluded.stock, claims = excluded.claims
     RETURNING (xmax = 0) AS added`,
    [shopId, JSON.stringify(list)],
  );
}

async function insertListings(manager: EntityManager, shopId: string, rows: readonly PartDraftSent[]): Promise<UpsertRows> {
  if (rows.length === 0) return [];
  return await manager.query<UpsertRows>(
    `INSERT INTO listings (part_id, supplier, price_minor, lead_days, stock, claims)
     SELECT p.id, r.supplier, r."priceMinor", r."leadDays", r.stock, ARRAY(SELECT jsonb_array_elements_text(r.claims))
     FROM jsonb_to_recordset($2::jsonb) AS r("partNumber" text, supplier text, "priceMinor" int, "leadDays" int, stock int, claims jsonb)
     JOIN parts p ON p.shop_id = $1 AND p.part_number = r."partNumber"
     ON CONFLICT (part_id, supplier) DO UPDATE SET price_minor = excluded.price_minor, lead_days = excluded.lead_days,
       stock = excluded.stock, claims = excluded.claims
     RETURNING (xmax = 0) AS added`,
    [shopId, JSON.stringify(rows)],
  );
}

/** What an older sheet named in place of these parts counts no longer. */
async function forgetLinks(manager: EntityManager, shopId: string, numbers: readonly string[]): Promise<void> {
  if (numbers.length === 0) return;
  await manager.query('DELETE FROM part_links USING parts p WHERE part_id = p.id AND p.shop_id = $1 AND p.part_number = ANY($2)', [
    shopId,
    numbers,
  ]);
}

async function linkParts(manager: EntityManager, shopId: string, rows: readonly PartDraftSent[]): Promise<void> {
  const links = rows.flatMap(({ partNumber, supersededBy, alternatives = [] }) => [
    ...(supersededBy === undefined ? [] : [{ partNumber, kind: 'supersededBy', to: supersededBy }]),
    ...alternatives.map((to) => ({ partNumber, kind: 'alternative', to })),
  ]);
  if (links.length === 0) return;
  await manager.query(
    `INSERT INTO part_links (part_id, kind, to_number)
     SELECT p.id, r.kind, r."to" FROM jsonb_to_recordset($2::jsonb) AS r("partNumber" text, kind text, "to" text)
     JOIN parts p ON p.shop_id = $1 AND p.part_number = r."partNumber"
     ON CONFLICT DO NOTHING`,
    [shopId, JSON.stringify(links)],
  );
}
