import fc from 'fast-check';
import { combine } from '../quantity/measured.ts';
import type { Entry, EntryPayload } from './entry.ts';
import { ruleOf } from './entryKinds.ts';
import { foldJob } from './fold.ts';
import { wormQuestion } from '../gear/worm/question.ts';

const JOB = '0197a000-0000-7000-8000-000000000001';
const MACHINE = '0197a000-0000-7000-8000-0000000000aa';
const id = (n: number) => `0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const entry = (n: number, payload: EntryPayload): Entry => ({
  id: id(n),
  jobId: JOB,
  at: new Date(1_700_000_000_000 + n * 60_000).toISOString(),
  by: 'tobin',
  payload,
});
const read = (n: number, quantity: 'tipDiameterMm' | 'axialPitch' | 'starts', value: number, over?: number) =>
  entry(n, {
    kind: 'dimensionRead',
    gear: 'worm',
    quantity,
    reading: { value, plusMinus: 0.03 },
    ...(over && { over }),
    instrument: 'digitalCaliper',
    entered: `${value} mm`,
  });

const HISTORY: readonly Entry[] = [
  entry(1, { kind: 'takenIn', machineId: MACHINE, family: 'saw-oil-pump', complaint: 'dry', facts: { hours: 12 } }),
  entry(2, { kind: 'lookRecorded', look: 'tank-level', result: 'full' }),
  entry(3, { kind: 'stepDone', step: 'lead-off' }),
  read(4, 'tipDiameterMm', 20),
  read(5, 'tipDiameterMm', 20.06),
  entry(6, { kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.9 }),
  entry(7, { kind: 'proofDone', proof: 'paper-proof', passed: false }),
  entry(8, { kind: 'proofDone', proof: 'paper-proof', passed: true }),
  entry(9, { kind: 'closed', outcome: 'cleaned', found: 'chips' }),
];

const take = (n: number, entryId: string) => entry(n, { kind: 'withdrawn', entry: entryId });

test('the order in which entries arrive, and how often, makes no difference', () => {
  const sound = foldJob(JOB, HISTORY);
  fc.assert(
    fc.property(fc.shuffledSubarray([...HISTORY], { minLength: HISTORY.length }), fc.subarray([...HISTORY]), (shuffled, again) => {
      expect(foldJob(JOB, [...shuffled, ...again])).toEqual(sound);
    }),
  );
});

test('two devices that wrote apart agree once they hold the same entries', () => {
  const [mine, theirs] = [HISTORY.slice(0, 5), [...HISTORY.slice(0, 2), ...HISTORY.slice(5)]];
  expect(foldJob(JOB, [...mine, ...theirs])).toEqual(foldJob(JOB, [...theirs, ...mine]));
});

test('taking an entry back undoes just that entry', () => {
  const { observations, reached } = foldJob(JOB, [...HISTORY, take(20, id(2))]);
  expect(observations).toEqual([]);
  expect(reached).toEqual(['lead-off']);
});

test('taking back any entry and putting it back leaves the job as it was', () => {
  const sound = foldJob(JOB, HISTORY);
  for (const { id: gone } of HISTORY) {
    const { withdrawn, ...state } = foldJob(JOB, [...HISTORY, take(20, gone), take(21, id(20))]);
    // What was looked at when the job was closed was touched after it: it is open again, and all else is as it was.
    const touched = HISTORY.some(
      ({ id: each, payload }) =>
        each === gone && (ruleOf(payload).isWork || ruleOf(payload).changesWhatWasSeen || payload.kind === 'secondChecked'),
    );
    const { closed } = touched ? { closed: null } : sound;
    expect({ ...state, active: state.active.length, written: undefined }).toEqual({
      ...sound,
      closed,
      active: sound.active.length,
      withdrawn: undefined,
      written: undefined,
    });
    expect(withdrawn).toEqual([]);
  }
});

test('the last word on a proof counts, and a closed job opens again', () => {
  expect(foldJob(JOB, HISTORY).proofs).toEqual([expect.objectContaining({ passed: true })]);
  expect(foldJob(JOB, HISTORY).closed?.outcome).toBe('cleaned');
  expect(foldJob(JOB, [...HISTORY, entry(10, { kind: 'reopened', reason: 'dry again' })]).closed).toBeNull();
});

test('entries of another job are left out', () => {
  const stranger = { ...entry(30, { kind: 'remark', text: 'not mine' }), jobId: id(99) };
  expect(foldJob(JOB, [...HISTORY, stranger])).toEqual(foldJob(JOB, HISTORY));
});

test('repeated readings are averaged by how sure each is', () => {
  expect(
    combine([
      { value: 18.02, plusMinus: 0.03 },
      { value: 18.06, plusMinus: 0.03 },
    ]),
  ).toEqual({ value: expect.closeTo(18.04, 9) as number, plusMinus: expect.closeTo(0.0212, 4) as number });
  expect(
    combine([
      { value: 18, plusMinus: 0.005 },
      { value: 19, plusMinus: 0.5 },
    ]).value,
  ).toBeCloseTo(18, 3);
});

test('pitches measured over different counts are not mixed', () => {
  const gear = foldJob(JOB, [read(1, 'axialPitch', 9.42, 3), read(2, 'axialPitch', 12.57, 4), read(3, 'starts', 1)]).gears.worm;
  expect(gear && wormQuestion(gear)).toEqual({
    measurements: { axialPitch: { threads: 4, lengthMm: { value: 12.57, plusMinus: expect.closeTo(0.03, 9) as number } } },
    starts: 1,
  });
});

test('a gear of which nothing telling was read asks nothing', () => {
  expect(wormQuestion({ readings: {} })).toBeNull();
});

test('the work of a fold grows with its entries, not with their square', () => {
  // Counted, not timed: each list is written into in place, so what a job of one kind has is the list that the first entry began.
  const many = (count: number) => Array.from({ length: count }, (_, i) => entry(i + 1, { kind: 'remark', text: `note ${i}` }));
  const made = foldJob(JOB, many(20_000));
  expect(made.remarks).toHaveLength(20_000);
  const before = process.memoryUsage().heapTotal;
  foldJob(JOB, many(20_000));
  // Copies of all that came before would be 1.6 GB.
  expect(process.memoryUsage().heapTotal - before).toBeLessThan(400_000_000);
});

test('what one fold wrote is in no other', () => {
  const one = foldJob(JOB, [entry(1, { kind: 'remark', text: 'one' })]);
  expect(foldJob(JOB, [entry(1, { kind: 'remark', text: 'two' })]).remarks).toEqual([{ kind: 'remark', text: 'two' }]);
  expect(one.remarks).toEqual([{ kind: 'remark', text: 'one' }]);
});
