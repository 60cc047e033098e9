import type { Entry, EntryPayload } from './entry.ts';
import { foldJob } from './fold.ts';
import type { JobState } from './jobState.ts';

const idOf = (i: number) => `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`;

/** For tests: a job of these entries, a minute after each other, the n-th (from 0) with n as the end of its id. */
export function jobOf(lines: readonly (readonly [by: string, payload: EntryPayload])[]): JobState {
  const jobId = idOf(1);
  const at = (i: number) => new Date(1_700_000_000_000 + i * 60_000).toISOString();
  return foldJob(
    jobId,
    lines.map(([by, payload], i): Entry => ({ id: idOf(i), jobId, at: at(i), by, payload })),
  );
}
