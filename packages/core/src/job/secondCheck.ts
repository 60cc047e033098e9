import type { EntryPayload } from './entry.ts';
import type { JobState } from './fold.ts';

/** What counts as working on the machine: whoever did one of these cannot be the second pair of eyes. */
const WORK: ReadonlySet<string> = new Set<EntryPayload['kind']>(['decided', 'stepDone', 'closingDone', 'partFitted', 'proofDone']);

/** Who worked on the machine in this job. */
export const workersOf = ({ standing }: Pick<JobState, 'standing'>): ReadonlySet<string> =>
  new Set(standing.filter(({ payload }) => WORK.has(payload.kind)).map(({ by }) => by));

/**
 * Who looked the work over without having had a hand in it; null where nobody has yet. Work done after
 * the check has not been looked at, so it wants a new one.
 */
export function secondCheckedBy({ standing }: Pick<JobState, 'standing'>): string | null {
  const workers = workersOf({ standing });
  const lastWork = standing.findLastIndex(({ payload }) => WORK.has(payload.kind));
  const check = standing.find(({ payload, by }, i) => payload.kind === 'secondChecked' && i > lastWork && !workers.has(by));
  return check?.by ?? null;
}
