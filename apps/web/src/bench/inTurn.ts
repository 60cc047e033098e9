import { t } from '@patient-badger/wording/bench';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import type { JobRow } from '@patient-badger/contract';
import { isWaiting } from '../data/rows.ts';

/** Sorts after every day that a job can be promised for. */
const NEVER = '9999-12-31';

/**
 * The bench in the order in which things are done, as the server has it page by page: promised soonest first, what waits for
 * a part after what can go on, then who came first. A job just taken in and not sent yet is the newest.
 */
export const inTurn = (rows: readonly JobRow[]): readonly JobRow[] =>
  [...rows].sort(
    (p, q) =>
      compare(p.promisedOn ?? NEVER, q.promisedOn ?? NEVER) ||
      Number(isWaiting(p)) - Number(isWaiting(q)) ||
      compare(p.takenInAt ?? NEVER, q.takenInAt ?? NEVER),
  );

const compare = (p: string, q: string): number => Number(p > q) - Number(p < q);

/** How a promise stands on a day (ISO dates), in words. */
export function promiseText(promisedOn: string, today: string): string {
  const days = differenceInCalendarDays(promisedOn, today);
  if (days < 0) return days === -1 ? t.promisedForYesterday : t.promisedDaysAgo(-days);
  if (days === 0) return t.promisedForToday;
  return days === 1 ? t.promisedForTomorrow : t.promisedInDays(days);
}
