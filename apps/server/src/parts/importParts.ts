import { randomUUID } from 'node:crypto';
import type { ImportReceipt, partImport } from '@patient-badger/contract';
import type { DataSource } from 'typeorm';
import type { z } from 'zod';
import { ServerProblem } from '../problems.ts';

/** Rows a statement; more make it no quicker. */
const LOT = 2000;

/**
 * Takes a list of parts into the catalogue, all or none: one transaction round every lot. A part number
 * that is there already is replaced, skipped, or makes the whole list be refused, as asked.
 * @throws ServerProblem partsKnown
 */
export async function importParts(
  dataSource: DataSource,
  shopId: string,
  { parts, duplicates }: z.output<typeof partImport>,
): Promise<ImportReceipt> {
  // Of a number that stands in the list twice the last counts: PostgreSQL would not touch a row twice in one statement.
  const list = [...new Map(parts.map((each) => [each.partNumber, each])).values()];
  return dataSource.transaction(async (manager) => {
    let [added, replaced] = [0, 0];
    for (let i = 0; i < list.length; i += LOT) {
      const lot = list.slice(i, i + LOT).map(({ attributes, ...each }) => ({
        ...each,
        id: randomUUID(),
        attributes,
        type: attributes.type ?? 'spur',
        moduleMm: sizeOf(attributes.axialModuleMm ?? attributes.normalModuleMm),
      }));
      const conflict =
        duplicates === 'replace'
          ? `DO UPDATE SET name = excluded.name, supplier = excluded.supplier, type = excluded.type, module_mm = excluded.module_mm,
              attributes = excluded.attributes, price_minor = excluded.price_minor, lead_days = excluded.lead_days,
              stock = excluded.stock, claims = excluded.claims`
          : 'DO NOTHING';
      const rows = (await manager.query(
        `INSERT INTO parts (id, shop_id, part_number, name, supplier, type, module_mm, attributes, price_minor, lead_days, stock, claims)
         SELECT r.id, $1, r."partNumber", r.name, r.supplier, r.type, r."moduleMm", r.attributes, r."priceMinor", r."leadDays", r.stock,
           ARRAY(SELECT jsonb_array_elements_text(r.claims))
         FROM jsonb_to_recordset($2::jsonb) AS r(id uuid, "partNumber" text, name text, supplier text, type text, "moduleMm" float8,
           attributes jsonb, "priceMinor" int, "leadDays" int, stock int, claims jsonb)
         ON CONFLICT (shop_id, part_number) ${conflict}
         RETURNING (xmax = 0) AS added`,
        [shopId, JSON.stringify(lot)],
      )) as { added: boolean }[];
      const fresh = rows.filter((row) => row.added).length;
      added += fresh;
      replaced += rows.length - fresh;
      if (duplicates === 'refuse' && rows.length < lot.length) throw new ServerProblem('partsKnown');
    }
    return { added, replaced, skipped: parts.length - added - replaced };
  });
}

const sizeOf = (given: number | { readonly value: number } | undefined): number | null =>
  (typeof given === 'object' ? given.value : given) ?? null;
