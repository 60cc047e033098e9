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

test('with a worm at the end too it misses nothing, and lists no worse train in place of an exact one', () => {
  const input = inferInput.parse({
    inputTurns: { value: 164, plusMinus: 0.1 },
    outputTurns: { value: 2, plusMinus: 0 },
    stages: 2,
    worm: true,
    available: [10, 12, 15, 18, 20, 24, 30, 36, 40, 41, 45],
    most: 60,
  });
  const counts = input.available as number[];
  const exact = counts.flatMap((driver) =>
    counts.flatMap((driven) => [1, 2, 3, 4, 5, 6].flatMap((starts) => counts.filter((wheel) => driven * wheel === 82 * driver * starts))),
  );
  const found = inferRatio(input).candidates.filter(({ reduction }) => Math.abs(reduction - 82) < 1e-9);
  expect(found).toHaveLength(exact.length);
  expect(exact.length).toBeGreaterThan(5);
});

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
      const found = nearestTwoStages(stages, stages, { wanted, most }).map(({ off }) => Math.abs(off));
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
      // Pairs of one ratio differ in their last digit only.
      const errors = nearest.map(({ readingErrorPercent }) => Math.abs(readingErrorPercent));
      expect(errors.every((each, i) => i === 0 || each >= (errors[i - 1] ?? 0) - 1e-9)).toBe(true);
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
  expect((loadedTurnsPerKm ?? NaN) / (sources[1]?.turnsPerKm ?? NaN)).toBeCloseTo(1.03, 9);
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

const tyre = (size: string) => tyreTurns(tyreInput.parse({ size })).diameterMm;

/**
 * Every notation, against the overall diameter that makers' sheets print for it (inches, rounded as there; of old
 * inch sizes they differ by some per cent among themselves).
 */
test.each([
  ['LT31x10.50R15', 31, 0.015],
  ['31 x 10.5 R15 LT', 31, 0.015],
  ['ST205/75R15', 27.1, 0.01],
  ['ST225/75D15', 28.3, 0.01],
  ['T125/70D15', 21.9, 0.01],
  ['P205/75R14', 26.1, 0.01],
  ['185/65ZR14 86H', 23.5, 0.01],
  ['16x6.50-8', 16, 0.015],
  ['20x10.00-10', 20, 0.015],
  ['6.00-16', 28.3, 0.03],
  ['5.60-15', 25.6, 0.03],
  ['6.70-15', 27.5, 0.03],
  ['7.75-14', 26.3, 0.03],
  ['F78-14', 26.3, 0.03],
  ['8.25-14', 26.9, 0.03],
  ['G78-15', 27.7, 0.03],
  // Small machines and motorcycles: the sums of ISO 5751 in inches as tyre sheets print them.
  ['90/90-18', 24.4, 0.01],
  ['80/90 - 21 M/C 48P', 26.7, 0.01],
  ['130/90B16', 25.2, 0.01],
  ['MT90-16', 25.3, 0.015],
  ['MT90B16', 25.3, 0.015],
  ['145/70-6', 14, 0.02],
  ['4.10/3.50-4', 10.4, 0.03],
  ['4.10/3.50-6', 12.2, 0.03],
  ['4.80/4.00-8', 15.7, 0.03],
  // Bicycles: roll-outs of the tables that come with cycle computers, over π.
  ['37-622', 2187 / 25.4 / Math.PI, 0.015],
  ['700x35C', 2168 / 25.4 / Math.PI, 0.015],
  ['47-559', 2055 / 25.4 / Math.PI, 0.02],
  ['26x2.1', 2068 / 25.4 / Math.PI, 0.03],
])('%s is about %d inches across', (size, inches, within) => {
  expect(Math.abs(tyre(size) / (inches * 25.4) - 1)).toBeLessThan(within);
});

test('the same tyre under its old and its new name is the same within two and a half per cent', () => {
  for (const [old, letters] of [
    ['7.35-14', 'E78-14'],
    ['7.75-14', 'F78-14'],
    ['8.25-14', 'G78-14'],
    ['8.55-14', 'H78-14'],
    ['7.75-15', 'F78-15'],
    ['9.15-15', 'L78-15'],
  ] as const) {
    expect(Math.abs(tyre(old) / tyre(letters) - 1)).toBeLessThan(0.025);
  }
});

test('what a diameter stands on is said: the figures printed, a table of the trade, or only a name', () => {
  const basis = (size: string) => tyreTurns(tyreInput.parse({ size })).basis;
  expect(['90/90-18', '37-622', '185/65R14'].map(basis)).toEqual(['sum', 'sum', 'sum']);
  expect(['MT90-16', '6.00-16', 'G78-14'].map(basis)).toEqual(['table', 'table', 'table']);
  expect(['4.10/3.50-4', '26x2.1'].map(basis)).toEqual(['nominal', 'nominal']);
  // 457.2 mm and twice 81; 622 and twice 37.
  expect([tyre('90/90-18'), tyre('37-622')]).toEqual([expect.closeTo(619.2, 9), expect.closeTo(696, 9)]);
});

test('a tyre that was rolled needs no size, and nothing is said of what it was not compared with', () => {
  const found = tyreTurns(tyreInput.parse({ rolled: { turns: 10, distanceM: 8.2 } }));
  expect(found).toMatchObject({
    source: 'rolled',
    turnsPerKm: expect.closeTo(1219.5, 1) as number,
    fromSize: null,
    loadedTurnsPerKm: null,
    basis: null,
  });
  expect(found.sources.map(({ againstSizePercent }) => againstSizePercent)).toEqual([null]);
  expect(() => tyreTurns(tyreInput.parse({}))).toThrow('invalid at size');
});

test.each(['90/90-1', '37-62', 'MX90-16', '4.10/3.50', '26x', '205/55R166', 'F78-145', '31x10.5R155', '16x6.50-16', '7.75-145', 'round'])(
  '%s is no size',
  (size) => {
    expect(() => tyre(size)).toThrow('invalid at size');
  },
);

test('never low says where every pair reads low, and of pairs that read alike the drive gear that is in comes first', () => {
  const ask = (given: object) =>
    takeoffPairs(
      takeoffInput.parse({ driveTeeth: [7, 14], drivenTeeth: [20, 40], axleRatio: 3, turnsPerKm: 500, cableTurnsPerKm: 600, ...given }),
    );
  expect(ask({ rule: 'neverLow' })).toMatchObject({ ruleKept: true });
  const low = ask({ rule: 'neverLow', drivenTeeth: [45, 90] });
  expect([low.ruleKept, low.options.every(({ readingErrorPercent }) => readingErrorPercent < 0)]).toEqual([false, true]);
  expect(ask({ keepDriveTeeth: 14 }).options[0]?.driveTeeth).toBe(14);
  expect(ask({ keepDriveTeeth: 7 }).options[0]?.driveTeeth).toBe(7);
  expect(ask({ rule: 'keepDrive', keepDriveTeeth: 9 }).ruleKept).toBe(false);
});
