import { FAMILIES } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { openAfter, reachOf } from '../access/state.ts';
import { own } from '../operation/own.ts';
import { runs } from '../testing.ts';
import { forbidden } from './forbidden.ts';
import { waysAlone } from './hypotheses.ts';
import { traceNext } from './next.ts';
import type { KinematicLook, Pack } from './pack.ts';
import { likeliestResults, packModel } from './packModel.ts';
import { advisedLooks, traceInput, type TraceOutput } from './schema.ts';

/** The same machines each time, so that a change is what makes it fail; others with SEED=n. */
const DRAWN = { seed: Number(process.env.SEED ?? 14) };

const ask = (pack: Pack, more: object) => traceNext(traceInput.parse({ family: pack.id, ...more }), pack);
const chanceOf = ({ suspects }: TraceOutput, fault: string) => suspects.find((each) => each.fault === fault)?.probability ?? 0;

/** The likeliest result of a look on a machine of this hypothesis. */
const shown = (pack: Pack, look: string, hypothesis: string): string => likeliestResults(packModel(pack), hypothesis)[look] ?? '';

describe.each(FAMILIES)('$id', (pack) => {
  const { hypotheses } = packModel(pack);

  test('no look is advised that the state of the machine or a caution forbids, whatever was done in whatever order', () => {
    fc.assert(
      fc.property(
        fc.nat(hypotheses.length - 2),
        fc.array(fc.nat(20), { minLength: 1, maxLength: 4 }),
        fc.array(fc.constantFrom(...pack.steps.map(({ id }) => id)), { maxLength: 3 }),
        (truth, choices, forced) => {
          // A mechanic may have opened in an order of their own; what a step stands on comes before it.
          let reached: readonly string[] = forced.reduce<readonly string[]>((open, step) => {
            const way = reachOf(pack).approachOf({ needs: [step], while: [] }, open);
            return [...open, ...(way?.steps ?? []).map(({ id }) => id)];
          }, []);
          const observations: { look: string; result: string }[] = [];
          for (const choice of choices) {
            const advised = advisedLooks(ask(pack, { observations, reached }));
            expect(advised.flatMap((each) => forbidden(pack, each, reached))).toEqual([]);
            const taken = advised[choice % Math.max(1, advised.length)];
            if (!taken) return;
            reached = openAfter(taken, reached);
            observations.push({ look: taken.look, result: shown(pack, taken.look, hypotheses[truth]?.id ?? '') });
          }
        },
      ),
      { ...DRAWN, numRuns: runs(5, 12) },
    );
  });

  test('looks under own power with a dead driver accuse no sound gear', () => {
    const looks = pack.looks.filter((look): look is KinematicLook => look.kind === 'kinematic' && look.power === 'own');
    for (const { id, faults } of hypotheses.filter(({ faults: [first, second] }) => first?.told === true && !second)) {
      const dead = looks.filter(({ drive }) => faults[0]?.dead.includes(drive.body));
      if (dead.length === 0) continue;
      const observations = dead.map((look) => ({ look: look.id, result: shown(pack, look.id, id) }));
      // And where somebody only says that what they watch stands, at every such look, it is no verdict either.
      const standing = dead.map((look) => ({ look: look.id, result: look.beside ? 'still-still' : 'still' }));
      const [before, after, stood] = [ask(pack, {}), ask(pack, { observations }), ask(pack, { observations: standing })];
      const gears = pack.faults.filter(({ modes }) => modes.some(({ mode }) => mode) && modes.every((each) => each.dead.length === 0));
      for (const gear of gears) {
        expect([gear.id, chanceOf(after, gear.id) <= 2 * chanceOf(before, gear.id)]).toEqual([gear.id, true]);
        expect([gear.id, stood.verdict?.fault === gear.id]).toEqual([gear.id, false]);
      }
    }
  });

  test('in which order independent things were seen changes nothing', () => {
    const tables = pack.looks.flatMap((look) => (look.kind === 'table' ? [look] : []));
    const seen = fc.uniqueArray(
      fc.constantFrom(...tables).chain((look) => fc.constantFrom(...look.results).map((result) => ({ look: look.id, result: result.id }))),
      { selector: ({ look }) => look, minLength: 2, maxLength: 5 },
    );
    fc.assert(
      fc.property(seen, (observations) => {
        const [one, other] = [ask(pack, { observations }), ask(pack, { observations: [...observations].reverse() })];
        for (const { fault, probability } of one.suspects) expect(chanceOf(other, fault)).toBeCloseTo(probability, 9);
        const looks = (output: TraceOutput) =>
          advisedLooks(output)
            .map(({ look }) => look)
            .sort();
        expect(looks(other)).toEqual(looks(one));
      }),
      { ...DRAWN, numRuns: runs(5, 8) },
    );
  });
});

describe.each(FAMILIES.filter(({ mirrored }) => Object.keys(mirrored).length > 0))('$id, its two sides', (pack) => {
  const other = (id: string) => own(pack.mirrored, id) ?? id;
  /** The result that the same look, or its like, shows on the mirrored machine. */
  const otherResult = (look: string, result: string) => {
    const found = pack.looks.find(({ id }) => id === look);
    if (found?.kind === 'kinematic') return found.beside ? result.split('-').reverse().join('-') : result;
    const parts = result.split('+').map((each) => (found?.results.some(({ id }) => id === other(each)) ? other(each) : each));
    const mirrored = (packModel(pack).outcomes.get(other(look)) ?? []).find(
      (each) => each.parts && parts.every((part) => each.parts?.includes(part)),
    );
    return parts.length > 1 ? (mirrored?.result ?? result) : (parts[0] ?? result);
  };
  const results = (look: Pack['looks'][number]) => (packModel(pack).outcomes.get(look.id) ?? []).map(({ result }) => result);
  const observation = fc
    .constantFrom(...pack.looks)
    .chain((look) => fc.constantFrom(...results(look)).map((result) => ({ look: look.id, result })));

  test('mirrored looks give mirrored answers', () => {
    fc.assert(
      fc.property(fc.uniqueArray(observation, { selector: ({ look }) => look, maxLength: 5 }), (observations) => {
        const mirrored = observations.map(({ look, result }) => ({ look: other(look), result: otherResult(look, result) }));
        const [one, two] = [ask(pack, { observations }), ask(pack, { observations: mirrored })];
        for (const { fault, probability } of one.suspects) expect(chanceOf(two, other(fault))).toBeCloseTo(probability, 9);
      }),
      { ...DRAWN, numRuns: runs(6, 15) },
    );
  });

  test('every fault, look, loose part and way back of one side is there for the other', () => {
    const ids = [...pack.faults, ...pack.looks, ...pack.steps, ...pack.closing, ...pack.gears].map(({ id }) => id);
    expect(ids.filter((id) => !ids.includes(other(id)))).toEqual([]);
    for (const fault of pack.faults) {
      const like = pack.faults.find(({ id }) => id === other(fault.id));
      expect(like?.prior).toBe(fault.prior);
      expect(waysAlone(packModel(pack).hypotheses, other(fault.id)).length).toBe(waysAlone(packModel(pack).hypotheses, fault.id).length);
    }
  });
});
