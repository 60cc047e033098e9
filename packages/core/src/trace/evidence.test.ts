import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { openAfter } from '../access/state.ts';
import { runs, sampled } from '../testing.ts';
import { evidenceOf } from './evidence.ts';
import { NOTHING_ELSE, SOUND } from './hypotheses.ts';
import { traceNext } from './next.ts';
import type { Pack } from './pack.ts';
import { likeliestResults, packModel } from './packModel.ts';
import { traceInput, type TraceInput, type TraceOutput } from './schema.ts';

const ask = (pack: Pack, more: Partial<TraceInput>): TraceOutput => traceNext(traceInput.parse({ family: pack.id, ...more }), pack);

/** What a machine without any fault shows most often. */
const soundOn = (pack: Pack, look: string): string => likeliestResults(packModel(pack), SOUND)[look] ?? '';

/** The advice followed on a machine on which every look is as it should be. */
function allSound(pack: Pack, complaint: string | null): TraceOutput {
  const facts = complaint === null ? {} : { complaint };
  const observations: { look: string; result: string }[] = [];
  for (let reached: readonly string[] = []; ;) {
    const output = ask(pack, { facts, observations, reached: [...reached] });
    if (!output.next) return output;
    reached = openAfter(output.next, reached);
    observations.push({ look: output.next.look, result: soundOn(pack, output.next.look) });
  }
}

test.each(FAMILIES)('$id: a machine on which every look is as it should be gets no verdict, whatever its owner says', (pack) => {
  const owners = sampled(
    pack.complaints.map(({ id }) => id),
    1,
  );
  for (const complaint of [null, ...owners]) {
    const { verdict, end } = allSound(pack, complaint);
    expect([complaint, verdict, end?.kind]).toEqual([complaint, null, 'noneOfThese']);
  }
});

const anyMachine = fc.constantFrom(...FAMILIES).chain((pack) =>
  fc
    .uniqueArray(
      fc
        .constantFrom(...packModel(pack).outcomes)
        .chain(([look, results]) =>
          fc.record({ look: fc.constant(look), result: fc.constantFrom(...results.map(({ result }) => result)) }),
        ),
      { selector: ({ look }) => look, maxLength: 10 },
    )
    .map((observations) => ({ pack, observations })),
);

test('no verdict without a finding that it explains, places never above one, and the kinds of none add up', () => {
  fc.assert(
    fc.property(anyMachine, ({ pack, observations }) => {
      const { verdict, end, places, noneOfThese, noneOfTheseProbability } = ask(pack, { observations });
      const evidence = evidenceOf(pack, packModel(pack));
      for (const fault of verdict?.faults ?? []) expect(observations.some((each) => evidence.explains(fault, each))).toBe(true);
      expect(end?.kind === 'fault').toBe(verdict !== null);
      for (const { probability } of places) expect(probability).toBeLessThanOrEqual(1);
      expect(noneOfThese.outside + noneOfThese.unlisted + noneOfThese.sound).toBeCloseTo(noneOfTheseProbability, 9);
    }),
    { numRuns: runs(40, 60) },
  );
});

test('what is found is never named again, nor contradicted: nothing else is what is left', () => {
  const pack = findFamily('garden-transaxle') as Pack;
  const shown = likeliestResults(packModel(pack, ['belt-slips']), NOTHING_ELSE);
  const observations = Object.entries(shown).map(([look, result]) => ({ look, result }));
  const { suspects, end, nothingElseProbability } = ask(pack, { observations, found: ['belt-slips'] });
  expect(suspects.map(({ fault }) => fault)).not.toContain('belt-slips');
  expect([end?.kind, nothingElseProbability]).toEqual(['nothingElse', expect.any(Number)]);
});

test('a fault that leads without its own sight is the next to be looked at, and a verdict once it was seen', () => {
  const pack = findFamily('sector-steering') as Pack;
  const before = [
    { look: 'rim-play', result: 'large' },
    { look: 'wheel-watch-shaft', result: 'turns' },
    { look: 'mesh-depth', result: 'even' },
    { look: 'links-look', result: 'good' },
    { look: 'shaft-watch-pinion', result: 'turns' },
    { look: 'wheel-watch-pinion', result: 'turns' },
    { look: 'wheel-watch-both', result: 'still-still' },
  ].filter(({ look }) => pack.looks.some(({ id }) => id === look));
  const led = ask(pack, { observations: before });
  expect([led.verdict, led.toLookAt?.fault]).toEqual([null, 'sector-stripped']);
  expect(led.next?.look).toBe(led.toLookAt?.look);
  const seen = ask(pack, { observations: [...before, { look: 'teeth-lamp', result: 'gap' }] });
  expect(seen.verdict?.fault).toBe('sector-stripped');
});

test('a result that settles a fault is that fault, whatever moved and whatever stood before', () => {
  const pack = findFamily('worm-steering-box') as Pack;
  const against = packModel(pack)
    .hypotheses.filter(({ faults }) => faults.length === 1)
    .map(({ id }) => id);
  expect(against.length).toBeGreaterThan(10);
  const sound = pack.looks.filter(({ kind }) => kind === 'kinematic').map(({ id }) => ({ look: id, result: soundOn(pack, id) }));
  const { verdict } = ask(pack, { observations: [...sound, { look: 'key-lamp', result: 'sheared' }] });
  expect(verdict?.fault).toBe('worm-loose');
});

test('with nothing of the list ahead only glances are advised, and then nothing', () => {
  const pack = findFamily('hydro-final-drive') as Pack;
  const observations: { look: string; result: string }[] = [];
  for (let reached: readonly string[] = []; ;) {
    const { next, noneOfTheseProbability, suspects, end } = ask(pack, { observations, reached: [...reached] });
    if (!next) {
      expect([end?.kind, end?.probability]).toEqual(['noneOfThese', noneOfTheseProbability]);
      return;
    }
    if (noneOfTheseProbability > 0.5 && noneOfTheseProbability > (suspects[0]?.probability ?? 0))
      expect(next.minutes).toBeLessThanOrEqual(3);
    reached = openAfter(next, reached);
    observations.push({ look: next.look, result: soundOn(pack, next.look) });
  }
});
