/**
 * Folding a long job: `npm run bench:fold`. Jobs of 2,000 and of 20,000 entries of one kind; the time an entry of the
 * long one to that of the short one, which is the baseline of the same run: 1 where the work grows with the entries, 10
 * where it grows with their square.
 */
import { foldJob, type Entry, type EntryPayload } from '@patient-badger/core/job';

const JOB = '0197a000-0000-7000-8000-000000000001';
const [SHORT, LONG, MOST_RATIO] = [2000, 20_000, 3];
const idOf = (n: number) => `0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;

const KINDS: Readonly<Record<string, (n: number) => EntryPayload>> = {
  remarks: () => ({ kind: 'remark', text: 'a note' }),
  looks: () => ({ kind: 'lookRecorded', look: 'tank-level', result: 'full' }),
  positions: (n) => ({ kind: 'captured', step: 'lead-off', capture: `own-${n}`, text: 'upper hole' }),
  photos: () => ({ kind: 'photoTaken', hash: 'a'.repeat(64), about: 'worm' }),
  'notes and their taking back': (n) => (n % 2 === 1 ? { kind: 'remark', text: 'a note' } : { kind: 'withdrawn', entry: idOf(n - 1) }),
};

function msOf(count: number, payloadOf: (n: number) => EntryPayload): number {
  const entries = Array.from({ length: count }, (_, i): Entry => ({
    id: idOf(i + 1),
    jobId: JOB,
    at: new Date(1.7e12 + i * 1000).toISOString(),
    by: 'tobin',
    seq: i + 1,
    payload: payloadOf(i + 1),
  }));
  const took = Array.from({ length: 5 }, () => {
    const began = performance.now();
    foldJob(JOB, entries);
    return performance.now() - began;
  }).sort((p, q) => p - q);
  return took[2] ?? NaN;
}

for (const [name, payloadOf] of Object.entries(KINDS)) {
  const [short, long] = [msOf(SHORT, payloadOf), msOf(LONG, payloadOf)];
  const ratio = long / LONG / (short / SHORT);
  console.log(
    `${name}: ${SHORT} in ${short.toFixed(1)} ms, ${LONG} in ${long.toFixed(1)} ms, an entry ${ratio.toFixed(2)} times as long (at most ${MOST_RATIO})`,
  );
  if (ratio > MOST_RATIO) process.exitCode = 1;
}
