import { t } from '@patient-badger/wording/server';
import { brokenTextAt } from '@patient-badger/core';
import { bookLine, entry } from '@patient-badger/core/job';
import { checkPack, facts, packSchema } from '@patient-badger/core/machine';
import { partAttributes } from '@patient-badger/core/parts';
import { z } from 'zod';
import { overridesOf } from '../machines/overrides.ts';
import { BackupRefused } from './backup.ts';

type Row = Readonly<Record<string, unknown>>;

/** No text of a row is longer than this, but for what is checked by a schema of its own. */
const MOST_TEXT = 20_000;
const anything = z.record(z.string(), z.unknown());

/** What each table's own columns must be, as a request that wrote them would have had to be. */
const CHECKS: Readonly<Record<string, (row: Row) => unknown>> = {
  people: ({ role }) => z.string().max(400).optional().parse(role),
  machine_models: ({ overrides }) => overridesOf(overrides),
  machines: ({ facts: given }) => facts.parse(given),
  families: ({ pack }) => checkPack(packSchema.parse(pack)),
  entries: ({ id, job_id: jobId, at, by, payload }) => entry.parse({ id, jobId, at: new Date(String(at)).toISOString(), by, payload }),
  parts: ({ attributes }) => partAttributes.parse(attributes),
  book_lines: ({ line }) => bookLine.parse(line),
};
const LONG = new Set(['families', 'machines', 'machine_models', 'entries', 'jobs', 'audit']);

/** A row of a shop that was written out, read like a request: nothing in it is taken on trust. @throws BackupRefused */
export function checkRow(table: string, line: string): Row {
  try {
    const row = anything.parse(JSON.parse(line));
    if (brokenTextAt(row) !== null) throw new Error('broken text');
    if (!LONG.has(table) && Object.values(row).some((each) => typeof each === 'string' && each.length > MOST_TEXT))
      throw new Error('too long');
    CHECKS[table]?.(row);
    return row;
  } catch (error) {
    const why = error instanceof z.ZodError ? (error.issues[0]?.path.join('.') ?? '') : (error as { path?: string }).path;
    throw new BackupRefused(t.aRowOfInThis(table, why ? ` (${why})` : ''));
  }
}
