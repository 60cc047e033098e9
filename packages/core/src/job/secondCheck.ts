import { ruleOf } from './entryKinds.ts';
import type { JobState } from './jobState.ts';

/** Who worked on the machine in this job. */
export const workersOf = ({ active }: Pick<JobState, 'active'>): ReadonlySet<string> =>
  new Set(active.filter(({ payload }) => ruleOf(payload).isWork).map(({ by }) => by));

/**
 * Who looked the work over without having had a hand in it; null where nobody has yet. Work done after
 * the check has not been looked at, so it wants a new one; before anybody worked there is nothing to look at.
 */
export function secondCheckedBy({ active }: Pick<JobState, 'active'>): string | null {
  const workers = workersOf({ active });
  const lastWork = active.findLastIndex(({ payload }) => ruleOf(payload).isWork);
  if (lastWork < 0) return null;
  const check = active.find(({ payload, by }, i) => payload.kind === 'secondChecked' && i > lastWork && !workers.has(by));
  return check?.by ?? null;
}
