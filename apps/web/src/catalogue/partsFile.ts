import { t } from '@patient-badger/wording/catalogue';
import {
  guessMapping,
  isOneGear,
  readPartRow,
  type CellProblem,
  type ColumnMapping,
  type PartDraft,
  type PartField,
  type PartLengthUnit,
} from '@patient-badger/core/parts';
import Papa from 'papaparse';

export type Row = Readonly<Record<string, string | undefined>>;

export interface PartsFile {
  readonly name: string;
  readonly headings: readonly string[];
  readonly rows: readonly Row[];
  readonly mapping: ColumnMapping;
}

/** A parts list out of a CSV file, whatever separates its columns. @throws Error in words where it is none */
export async function readPartsFile(file: File): Promise<PartsFile> {
  const { data, meta, errors } = Papa.parse<Row>(await file.text(), { header: true, skipEmptyLines: 'greedy' });
  const headings = (meta.fields ?? []).filter((each) => each.trim() !== '');
  if (data.length === 0 || headings.length < 2) throw new Error(t.holdsNoTableTheFirst(file.name, errors[0]?.message ?? '').trim());
  return { name: file.name, headings, rows: data, mapping: guessMapping(headings) };
}

/** A row that cannot be taken, by its place in the file. */
export interface BadRow {
  readonly index: number;
  readonly problems: readonly CellProblem[];
}

export interface FileCheck {
  readonly drafts: readonly PartDraft[];
  readonly bad: readonly BadRow[];
}

/** A breath for the screen after so many rows. */
const BATCH_SIZE = 500;
export interface CheckRowsOptions {
  readonly mapping: ColumnMapping;
  readonly unit: PartLengthUnit;
  readonly onProgress: (share: number) => void;
  readonly stopped: () => boolean;
}

/** Reads every row, a batch at a time so that the screen stays alive; null where it was stopped. */
export async function checkRows({ rows }: PartsFile, { mapping, unit, onProgress, stopped }: CheckRowsOptions): Promise<FileCheck | null> {
  const drafts: PartDraft[] = [];
  const bad: BadRow[] = [];
  const first = new Map<string, { readonly index: number; readonly draft: PartDraft }>();
  const offered = new Map<string, number>();
  for (let from = 0; from < rows.length; from += BATCH_SIZE) {
    await new Promise((resolve) => setTimeout(resolve));
    if (stopped()) return null;
    rows.slice(from, from + BATCH_SIZE).forEach((row, i) => {
      const found = readPartRow(row, mapping, unit);
      if (!found.ok) return void bad.push({ index: from + i, problems: found.problems });
      const why = twinProblem(found.draft, first, offered);
      if (why) return void bad.push({ index: from + i, problems: [why] });
      const { partNumber } = found.draft;
      if (!first.has(partNumber)) first.set(partNumber, { index: from + i, draft: found.draft });
      offered.set(offerKey(found.draft), from + i);
      drafts.push(found.draft);
    });
    onProgress(Math.min(1, (from + BATCH_SIZE) / rows.length));
  }
  return { drafts, bad };
}

const offerKey = ({ partNumber, supplier }: PartDraft) => `${partNumber}\n${supplier}`;

/** One number may stand there once for each seller, and is the same gear with all of them. */
function twinProblem(
  draft: PartDraft,
  first: ReadonlyMap<string, { readonly index: number; readonly draft: PartDraft }>,
  offered: ReadonlyMap<string, number>,
): CellProblem | null {
  const { partNumber } = draft;
  const twin = offered.get(offerKey(draft));
  const problem = (code: CellProblem['code'], index: number): CellProblem => ({
    field: 'partNumber',
    given: partNumber,
    code,
    detail: { line: lineOf(index) },
  });
  if (twin !== undefined) return problem('standsTwice', twin);
  const other = first.get(partNumber);
  if (!other || isOneGear(other.draft.attributes, draft.attributes)) return null;
  return problem('anotherGear', other.index);
}

/** The line of the file a row stands in: the headings are line 1. */
export const lineOf = (index: number): number => index + 2;
export interface MendedOptions {
  readonly index: number;
  readonly mapping: ColumnMapping;
  readonly field: PartField;
  readonly text: string;
}

/** The file with one cell put right. */
export function mended(file: PartsFile, { index, mapping, field, text }: MendedOptions): PartsFile {
  const column = mapping[field];
  if (column === undefined) return file;
  return { ...file, rows: file.rows.map((row, i) => (i === index ? { ...row, [column]: text } : row)) };
}
