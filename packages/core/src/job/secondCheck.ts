import { ruleOf } from './entryKinds.ts';
import type { JobState } from './jobState.ts';

/** Who worked on the machine in this job. */
export const workersOf = ({ active }: Pick<JobState, 'active'>): ReadonlySet<string> =>
  new Set(active.filter(({ payload }) => ruleOf(payload).isWork).map(({ by }) => by));

/** What a photo of the sheet that an outside checker signed is about. */
export const SIGNED_SHEET = 'signed-sheet';

interface SecondCheck {
  /** Who looked it over; of somebody from outside, who wrote down that they did. */
  readonly by: string;
  /** The name of somebody from outside. */
  readonly outside: string | null;
}

/**
 * Who looked the work over without having had a hand in it; null where nobody has yet. Work done after
 * the check has not been looked at, so it wants a new one; before anybody worked there is nothing to look at.
 * Somebody from outside counts with a photo of the sheet that they signed.
 */
export function secondCheckOf({ active }: Pick<JobState, 'active'>): SecondCheck | null {
  const workers = workersOf({ active });
  const lastWork = active.findLastIndex(({ payload }) => ruleOf(payload).isWork);
  if (lastWork < 0) return null;
  const after = active.slice(lastWork + 1);
  const inside = after.find(({ payload, by }) => payload.kind === 'secondChecked' && !workers.has(by));
  if (inside) return { by: inside.by, outside: null };
  const signed = after.some(({ payload }) => payload.kind === 'photoTaken' && payload.about === SIGNED_SHEET);
  for (const { by, payload } of signed ? after : []) if (payload.kind === 'outsideChecked') return { by, outside: payload.checker };
  return null;
}
