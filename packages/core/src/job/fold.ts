import type { Entry } from './entry.ts';
import { ruleOf } from './entryKinds.ts';
import { EMPTY_JOB, type JobState } from './jobState.ts';

/**
 * Entries of one job, in any order and sent any number of times → what the job is now.
 * Pure and the same everywhere: two devices that hold the same entries see the same job.
 */
export function foldJob(jobId: string, entries: readonly Entry[]): JobState {
  const ordered = inOrder(entries.filter((each) => each.jobId === jobId));
  const gone = withdrawnIds(ordered);
  const active = ordered.filter(({ id, payload }) => !gone.has(id) && payload.kind !== 'withdrawn');
  const withdrawn = ordered.filter(({ id, payload }) => gone.has(id) && payload.kind !== 'withdrawn');
  return active.reduce(apply, { ...EMPTY_JOB, jobId, active, withdrawn });
}

const apply = (state: JobState, { payload, ...entry }: Entry): JobState => ruleOf(payload).apply(state, payload, entry);

/** By time, ties by id, each id once: an order every device agrees on. */
export function inOrder(entries: readonly Entry[]): readonly Entry[] {
  const once = [...new Map(entries.map((each) => [each.id, each])).values()];
  return once.sort((p, q) => Date.parse(p.at) - Date.parse(q.at) || (p.id < q.id ? -1 : 1));
}

/** Taking back a withdrawal puts the first entry back; so the latest are settled first. */
function withdrawnIds(ordered: readonly Entry[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const { id, payload } of [...ordered].reverse()) {
    if (payload.kind === 'withdrawn' && !gone.has(id)) gone.add(payload.entry);
  }
  return gone;
}
