import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

const date = z.iso.date().max(10);
const reading = z.number().min(0).max(1e9);

export const dueInput = z.strictObject({
  last: z.strictObject({ date, reading: reading.optional() }),
  every: z.strictObject({ days: positiveUpTo(36_500).optional(), units: positiveUpTo(1e8).optional() }),
  perYear: positiveUpTo(1e8).optional(),
  today: date,
});
export const dueOutput = z.object({
  dueDate: z.string(),
  dueReading: z.number().optional(),
  by: z.enum(['date', 'use']),
  overdue: z.boolean(),
});

const DAY_MS = 86_400_000;
const DAYS_A_YEAR = 365.25;

/**
 * When something is to be looked at again: by days, or by what the machine works as it is used in a year, whichever comes first. ISO
 * dates; a day begun counts whole.
 * @throws CoreFailure where neither days nor units are given, units without a use a year and no days, or it never comes due
 * @example last on 2026-03-01 at 120 h, every 50 h or 365 days, 100 h a year → 2026-08-30, by use
 */
export function dueOn({ last, every, perYear, today }: z.infer<typeof dueInput>): z.infer<typeof dueOutput> {
  if (every.days === undefined && every.units === undefined) throw fail('nothingGiven', 'every', { reason: 'noInterval' });
  if (every.days === undefined && perYear === undefined) throw fail('missing', 'perYear');
  const due = dueFrom({ last, every, perYear, today });
  if (due === null) throw fail('noAnswer', 'perYear', { reason: 'dueBeyondCalendar' });
  return due;
}

/** The last day that an ISO date has four figures for. */
const LAST_DAY = Date.parse('9999-12-31');

/** The same; null where it does not come due before the calendar ends. */
function dueFrom({ last, every, perYear, today }: z.infer<typeof dueInput>): z.infer<typeof dueOutput> | null {
  const { days = Infinity, units } = every;
  const byUse = units !== undefined && perYear !== undefined ? (units / perYear) * DAYS_A_YEAR : Infinity;
  const at = Date.parse(last.date) + Math.floor(Math.min(byUse, days)) * DAY_MS;
  if (at > LAST_DAY) return null;
  const dueDate = new Date(at).toISOString().slice(0, 10);
  return {
    dueDate,
    ...(units !== undefined && last.reading !== undefined && { dueReading: last.reading + units }),
    by: byUse < days ? 'use' : 'date',
    overdue: today > dueDate,
  };
}

interface Interval {
  readonly every: { readonly days?: number | undefined; readonly units?: number | undefined };
  readonly unit?: 'hours' | 'km' | undefined;
  readonly reading?: number | undefined;
  /** ISO 8601: when it was last done. */
  readonly at: string;
}

/** When an interval of a machine comes due by what it works in a year; null where that decides and nobody knows it. */
export function intervalDue(
  { every, unit, reading, at }: Interval,
  yearly: { readonly hours: number | null; readonly km: number | null },
  today: string,
): z.infer<typeof dueOutput> | null {
  const known = unit === undefined ? null : yearly[unit];
  const perYear = known !== null && known > 0 ? known : undefined;
  return dueFrom({ last: { date: at.slice(0, 10), reading }, every, perYear, today });
}
