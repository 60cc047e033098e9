import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { usualUse } from '../quantity/useUnit.ts';
import type { Pack } from '../trace/pack.ts';
import { traceNext } from '../trace/next.ts';
import { traceInput } from '../trace/schema.ts';
import type { EntryPayload } from './entry.ts';
import { checkEntry } from './entryKinds.ts';
import { chosen, optionKept, used } from './entrySamples.ts';
import { jobOf } from './jobOf.ts';
import { failedProof, isProved, isWithin, laterLooks, openFollowUps, proofPlan } from './proofPlan.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const takeoff = findFamily('speedometer-takeoff') as Pack;
const passed = (proof: string): readonly [string, EntryPayload] => ['tobin', { kind: 'proofDone', proof, passed: true }];

const on = (day: string) => ({ on: day, usedGear: (name: string) => `Wear of ${name}` });

test('by hand first, then without load, in use, and what shows only later', () => {
  expect(proofPlan(saw, jobOf([])).map(({ phase, proofs }) => [phase, proofs.map(({ id }) => id)])).toEqual([
    ['hand', ['hand-cord']],
    ['inUse', ['paper-proof']],
    ['later', ['dry-day']],
  ]);
});

test('a job is proved by what can be proved before it goes home', () => {
  expect(isProved(saw, jobOf([passed('hand-cord')]))).toBe(false);
  expect(isProved(saw, jobOf([passed('hand-cord'), passed('paper-proof')]))).toBe(true);
  expect(isProved({ ...saw, proofs: saw.proofs.filter(({ phase }) => phase === 'later') }, jobOf([passed('dry-day')]))).toBe(false);
});

test('a leak is looked at after a day and after months, and only once put on the list', () => {
  const later = laterLooks(takeoff, jobOf([]), on('2026-02-27'));
  expect(later.map(({ due, proof }) => [proof, due])).toEqual([
    ['dry-months', '2026-02-28'],
    ['dry-months', '2026-06-27'],
  ]);
  const set = jobOf(later.map((each) => ['tobin', each]));
  expect(laterLooks(takeoff, set, on('2026-03-01'))).toEqual([]);
  const done = jobOf([
    ...later.map((each): [string, EntryPayload] => ['tobin', each]),
    ['tobin', { kind: 'followUpDone', followUp: set.followUps[0]?.id ?? '', passed: true }],
  ]);
  expect(openFollowUps(done).map(({ due }) => due)).toEqual(['2026-06-27']);
});

test('a used gear comes back at half of its life, a year at the latest, and is asked for once', () => {
  const noLater = { ...saw, proofs: [] };
  const donor = (...more: readonly EntryPayload[]) =>
    jobOf([{ ...chosen, gear: 'worm', source: 'shelf' as const }, ...more].map((each): [string, EntryPayload] => ['tobin', each]));
  const days = (state: Parameters<typeof laterLooks>[1]) => laterLooks(noLater, state, on('2026-03-01')).map(({ due }) => due);
  // 75 hours of 50 a year are more than a year; of 300 a year a quarter of it.
  expect(days(donor())).toEqual(['2027-03-01']);
  expect(days({ ...donor(), use: usualUse({ hours: 300, km: null }) })).toEqual(['2026-05-31']);
  expect(days(donor({ ...used, perYear: 300 }))).toEqual(['2026-05-31']);
  // Where nobody said, the machine's own meters do: half of 22,500 km, the guide, is gone after nine months of 15,000 a year.
  const metered = { ...donor(), use: usualUse({ hours: null, km: 15_000 }) };
  expect(days(metered)).toEqual(['2026-11-30']);
  const short = { ...optionKept, option: 'donor', optionKind: 'donor' as const, lifeMean: 3000, lifeUnit: 'km' as const };
  expect(days(donor({ ...used, perYear: 300 }, short))).toEqual(['2026-03-13']);
  expect(laterLooks(noLater, jobOf([['tobin', { ...chosen, gear: 'worm' }]]), on('2026-03-01'))).toEqual([]);
  const set = laterLooks(noLater, donor(), on('2026-03-01'));
  expect(set[0]?.what).toBe('Wear of Oil pump worm');
  expect(days(donor(...set))).toEqual([]);
});

test.each(FAMILIES.flatMap((pack) => pack.proofs.filter(({ failing }) => failing).map((proof) => [pack.id, proof.id] as const)))(
  'in %s a failed "%s" makes the fault that was set right less likely than before it failed',
  (family, id) => {
    const pack = findFamily(family) as Pack;
    const proof = pack.proofs.find((each) => each.id === id);
    const fault = pack.faults[0]?.id ?? '';
    if (!proof) throw new Error(id);
    const state = jobOf([['tobin', { kind: 'decided', fault, remedy: 'replace', probability: 0.9 }]]);
    const told = failedProof(pack, state, { ...proof, saw: 'Failed' });
    expect(told.map(({ kind }) => kind)).toEqual([...(proof.failing?.result === undefined ? [] : ['lookRecorded']), 'ownLookRecorded']);
    told.forEach((payload) => checkEntry(payload, pack));
    const chance = (payloads: readonly EntryPayload[]) => {
      const { observations, ownLooks } = jobOf(payloads.map((each) => ['tobin', each]));
      const traced = traceNext(
        traceInput.parse({
          family,
          observations: observations.map(({ look, result }) => ({ look, result })),
          ownLooks: ownLooks.map(({ saw: seen, fault: of, speaks, sure }) => ({ saw: seen, fault: of, speaks, sure })),
        }),
        pack,
      );
      return traced.suspects.find((each) => each.fault === fault)?.probability ?? 0;
    };
    expect(chance(told)).toBeLessThan(chance(told.slice(0, -1)));
  },
);

test('a figure is held against its limits, either of which may be missing', () => {
  expect([isWithin({ max: 10 }, 10), isWithin({ max: 10 }, 10.1), isWithin({ min: 1 }, 0.9), isWithin({}, -5)]).toEqual([
    true,
    false,
    false,
    true,
  ]);
});
