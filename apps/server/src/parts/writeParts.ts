import type { Part } from '@patient-badger/contract';
import { PART_COLUMNS, writePartRow } from '@patient-badger/core/parts';
import Papa from 'papaparse';
import { MoreThan, type DataSource } from 'typeorm';
import { partsWithDetails } from './partDetails.ts';
import { parts } from './entities.ts';

/** Parts read at a time: the catalogue never stands in memory whole. */
const BATCH_SIZE = 2000;

/** What a spreadsheet would work out instead of showing; a number below nought is none. `readPartRow` takes the mark off again. */
/** Signs that make a formula of a cell; spreadsheets take their full-width twins too. */
const FORMULA = /^[=+@\t\r\uFF1D\uFF0B\uFF20\uFF0D]|^-(?!\d*[.,]?\d+$)/;

async function* batches(dataSource: DataSource, shopId: string): AsyncGenerator<readonly Part[]> {
  for (let after = ''; ;) {
    const rows = await dataSource
      .getRepository(parts)
      .find({ where: { shopId, partNumber: MoreThan(after) }, order: { partNumber: 'ASC' }, take: BATCH_SIZE });
    const last = rows.at(-1);
    if (!last) return;
    yield await partsWithDetails(dataSource.manager, rows);
    after = last.partNumber;
  }
}

/** The catalogue as a list that can be brought in again: a row for each seller of each part, lengths in mm. */
export async function* partsAsCsv(dataSource: DataSource, shopId: string): AsyncGenerator<string> {
  const columns = Object.values(PART_COLUMNS);
  yield `\uFEFF${Papa.unparse([columns])}\r\n`;
  for await (const batch of batches(dataSource, shopId)) {
    const rows = batch.flatMap((part) => [part, ...part.listings].map((offer) => writePartRow({ ...draftOf(part), ...offer })));
    yield `${Papa.unparse(rows, { columns, header: false, escapeFormulae: FORMULA })}\r\n`;
  }
}

/** The catalogue with everything that is known of each part, as one JSON array. */
export async function* partsAsJson(dataSource: DataSource, shopId: string): AsyncGenerator<string> {
  let first = true;
  yield '[';
  for await (const batch of batches(dataSource, shopId)) {
    yield `${first ? '' : ','}\n${batch.map((part) => JSON.stringify(part)).join(',\n')}`;
    first = false;
  }
  yield '\n]\n';
}

function draftOf({ partNumber, name, supplier, attributes, priceMinor, leadDays, stock, claims, links }: Part) {
  const of = (kind: Part['links'][number]['kind']) => links.filter((link) => link.kind === kind).map((link) => link.partNumber);
  return {
    partNumber,
    name,
    supplier,
    attributes,
    priceMinor,
    leadDays,
    stock,
    claims,
    supersededBy: of('supersededBy')[0],
    alternatives: of('alternative'),
  };
}
