import fc from 'fast-check';
import { changeInput, drivelineChange } from './change.ts';
import { gearSwap, swapInput } from './swap.ts';
import { inferInput, inferRatio } from './infer.ts';
import { nearestTwoStages, stageOf, type Stage } from './nearestTrains.ts';
import { takeoffInput, takeoffPairs } from './takeoff.ts';
import { gearTrain } from './train.ts';
import { tyreInput, tyreTurns } from './tyre.ts';

const pairs = (low: number, high: number): readonly Stage[] => {
  const teeth = Array.from({ length: high - low + 1 }, (_, i) => low + i);
  return teeth.flatMap((driver) => teeth.map((driven) => stageOf(driver, driven)));
};

test('the search for two stages misses nothing that trying every pair finds', () => {
  const some = fc.uniqueArray(fc.tuple(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 8, max: 60 })), {
    minLength: 2,
    maxLength: 40,
    selector: String,
  });
  fc.assert(
    fc.property(some, fc.double({ min: 0.05, max: 40, noNaN: true }), fc.integer({ min: 1, max: 12 }), (list, wanted, most) => {
      const stages = list.map(([driver, driven]) => stageOf(driver, driven));
      const every = stages.flatMap((p, i) => stages.slice(i).map((q) => Math.abs(Math.log((p.reduction * q.reduction) / wanted))));
      const found = nearestTwoStages(stages, wanted, most).map(({ off }) => Math.abs(off));
      const best = every.sort((p, q) => p - q).slice(0, most);
      expect(found).toHaveLength(best.length);
      found.forEach((off, i) => expect(off).toBeCloseTo(best[i] ?? NaN, 9));
    }),
  );
});

test('turns counted on a train lead back to it', () => {
  fc.assert(
    fc.property(fc.constantFrom(...pairs(8, 40)), ({ driver, driven, reduction }) => {
      const turns = { inputTurns: { value: 50 * reduction, plusMinus: 0.02 }, outputTurns: { value: 50, plusMinus: 0.02 } };
      const { candidates } = inferRatio(inferInput.parse({ ...turns, stages: 1, teethRange: [8, 40], most: 200 }));
      expect(candidates.some(({ stages }) => stages[0]?.driver === driver && stages[0].driven === driven)).toBe(true);
      expect(candidates.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
      const [first] = candidates;
      expect(
        gearTrain({ stages: (first?.stages ?? []).map((each) => ({ driverTeeth: each.driver, drivenTeeth: each.driven })) }).reduction,
      ).toBeCloseTo(first?.reduction ?? NaN, 9);
    }),
    { numRuns: 40 },
  );
});

test('whichever rule, every pair that exists is there once; never low keeps the low ones behind all others', () => {
  const some = fc.uniqueArray(fc.integer({ min: 5, max: 40 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(some, some, fc.double({ min: 300, max: 900, noNaN: true }), (driveTeeth, drivenTeeth, turnsPerKm) => {
      const input = { driveTeeth, drivenTeeth, axleRatio: 3.9, turnsPerKm, cableTurnsPerMile: 1001 };
      const nearest = takeoffPairs(takeoffInput.parse(input)).options;
      const high = takeoffPairs(takeoffInput.parse({ ...input, rule: 'neverLow' })).options;
      expect(nearest).toHaveLength(driveTeeth.length * drivenTeeth.length);
      expect(nearest.map(({ readingErrorPercent }) => Math.abs(readingErrorPercent))).toEqual(
        nearest.map(({ readingErrorPercent }) => Math.abs(readingErrorPercent)).sort((p, q) => p - q),
      );
      const firstLow = high.findIndex(({ readingErrorPercent }) => readingErrorPercent < 0);
      if (firstLow >= 0) expect(high.slice(firstLow).every(({ readingErrorPercent }) => readingErrorPercent < 0)).toBe(true);
    }),
  );
});

test('a larger tyre turns less often and makes the same pair read low', () => {
  const read = (size: string) => {
    const { turnsPerKm } = tyreTurns(tyreInput.parse({ size }));
    const { options } = takeoffPairs(
      takeoffInput.parse({ driveTeeth: [7], drivenTeeth: [22], axleRatio: 3.73, turnsPerKm, cableTurnsPerMile: 1000 }),
    );
    return { turnsPerKm, error: options[0]?.readingErrorPercent ?? NaN };
  };
  const [small, large] = [read('185/65R14'), read('205/70R15')];
  expect(large.turnsPerKm).toBeLessThan(small.turnsPerKm);
  expect(large.error).toBeLessThan(small.error);
});

test('what there is of a tyre is listed best first, with how far it is off the printed size', () => {
  const { sources, loadedTurnsPerKm } = tyreTurns(tyreInput.parse({ size: '185/65R14', publishedTurnsPerKm: 550 }));
  expect(sources.map(({ source }) => source)).toEqual(['published', 'size']);
  expect(sources[0]?.againstSizePercent).toBeCloseTo(2.99, 1);
  expect(loadedTurnsPerKm / (sources[1]?.turnsPerKm ?? NaN)).toBeCloseTo(1.03, 9);
});

test('the engine turns in proportion to the speed, and the pair that is in now is no change', () => {
  const { options } = gearSwap(
    swapInput.parse({
      otherReduction: 6,
      turnsPerKm: 480,
      now: { name: 'now', driverTeeth: 24, drivenTeeth: 25 },
      others: [{ name: 'long', driverTeeth: 26, drivenTeeth: 23 }],
      speedsKmh: [50, 100],
    }),
  );
  expect(options[0]?.changePercent).toBe(0);
  for (const { engineRpm } of options) expect((engineRpm[1]?.rpm ?? NaN) / (engineRpm[0]?.rpm ?? NaN)).toBeCloseTo(2, 9);
});

test('what was changed and changed back reads as before, and the axle for the same pull undoes the tyre', () => {
  const turns = fc.double({ min: 300, max: 800, noNaN: true });
  const axle = fc.double({ min: 2, max: 6, noNaN: true });
  fc.assert(
    fc.property(turns, turns, axle, axle, fc.double({ min: -20, max: 20, noNaN: true }), (t1, t2, a1, a2, off) => {
      const [before, after] = [
        { turnsPerKm: t1, axleRatio: a1 },
        { turnsPerKm: t2, axleRatio: a2 },
      ];
      const there = drivelineChange(changeInput.parse({ before, after, readsNowPercent: off }));
      const back = drivelineChange(changeInput.parse({ before: after, after: before, readsNowPercent: there.readsAfterPercent }));
      expect(back.readsAfterPercent).toBeCloseTo(off, 6);
      const same = drivelineChange(changeInput.parse({ before, after: { turnsPerKm: t2, axleRatio: there.axleForTheSame } }));
      expect(same.engineChangePercent).toBeCloseTo(0, 6);
    }),
  );
});
