import { foldJob, type Entry, type EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { traceOf } from '../data/useTrace.ts';
import type { JobView } from '../job/JobView.ts';

// jsdom has none; the store in memory wants one.
globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const JOB = '0197a000-0000-7000-8000-000000000001';
const MACHINE = '0197a000-0000-7000-8000-0000000000aa';

/** A job of this family as it stands after these entries, the first a minute ago, as the screens get it. */
export function viewAfter(pack: Pack, ...payloads: readonly EntryPayload[]): JobView {
  const takenIn: EntryPayload = { kind: 'takenIn', machineId: MACHINE, family: pack.id, complaint: 'as the owner says', facts: {} };
  const begun = Date.now() - 60_000;
  const entries = [takenIn, ...payloads].map((payload, i): Entry => ({
    id: `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`,
    jobId: JOB,
    at: new Date(begun + i).toISOString(),
    by: 'wren',
    payload,
  }));
  const state = foldJob(JOB, entries);
  return {
    job: { id: JOB, machineId: MACHINE, family: pack.id, safetyCritical: false, entries },
    state,
    pack,
    machine: undefined,
    trace: traceOf(state, pack),
  };
}
