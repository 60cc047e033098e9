import { drivelineChange, changeInput } from './change.ts';
import { correctInput, odometerCorrection } from './correct.ts';
import { designInput, designTrains } from './design.ts';
import { inferInput, inferRatio } from './infer.ts';
import { gearSwap, swapInput } from './swap.ts';
import { takeoffInput, takeoffPairs } from './takeoff.ts';
import { tyreInput, tyreTurns } from './tyre.ts';
import { parseTyre } from './tyreSize.ts';

const MILE = 1.609344;
const m = (value: number, plusMinus = 0.1) => ({ value, plusMinus });

describe('counted turns', () => {
  const infer = (input: object) => inferRatio(inferInput.parse(input));

  test('lie off a train by so many of their own ±, and the nearest is the likeliest', () => {
    const { candidates, reduction } = infer({ inputTurns: m(37), outputTurns: m(10), stages: 1, teethRange: [10, 40], most: 5 });
    const relative = Math.hypot(0.1 / 37, 0.1 / 10);
    expect(reduction).toEqual({ value: 3.7, plusMinus: expect.closeTo(3.7 * relative, 12) as number });
    expect(candidates[0]).toMatchObject({ stages: [{ driver: 10, driven: 37 }], errorSigma: expect.closeTo(0, 9) as number });
    for (const { stages, reduction: r, errorSigma } of candidates) {
      expect(r).toBeCloseTo((stages[0]?.driven ?? 0) / (stages[0]?.driver ?? 1), 12);
      expect(errorSigma).toBeCloseTo((r / 3.7 - 1) / relative, 9);
    }
    const weights = candidates.map(({ errorSigma }) => Math.exp(-0.5 * errorSigma ** 2));
    const total = weights.reduce((sum, each) => sum + each, 0);
    candidates.forEach(({ probability }, i) => expect(probability).toBeCloseTo((weights[i] ?? 0) / total, 9));
  });

  test('are never counted finer than a hundredth of a turn', () => {
    expect(infer({ inputTurns: m(10, 0), outputTurns: m(5, 0), stages: 1 }).reduction.plusMinus).toBeCloseTo(
      2 * Math.hypot(0.001, 0.002),
      12,
    );
  });

  test('a worm drives the last stage with its starts', () => {
    const found = infer({ inputTurns: m(60, 0.1), outputTurns: m(1, 0.001), stages: 2, worm: true, teethRange: [20, 40], most: 20 });
    for (const { stages, reduction } of found.candidates) {
      const [spur, worm] = stages;
      expect(worm?.driver).toBeLessThanOrEqual(6);
      expect(reduction).toBeCloseTo(((spur?.driven ?? 0) / (spur?.driver ?? 1)) * ((worm?.driven ?? 0) / (worm?.driver ?? 1)), 9);
    }
    expect(found.candidates[0]?.reduction).toBeCloseTo(60, 6);
    expect(infer({ inputTurns: m(30), outputTurns: m(1), stages: 1, worm: true, teethRange: [20, 40] }).candidates[0]).toMatchObject({
      stages: [{ driver: 1, driven: 30 }],
    });
  });

  test('a range of one count is a range', () => {
    expect(infer({ inputTurns: m(1), outputTurns: m(1), stages: 1, teethRange: [12, 12] }).candidates).toMatchObject([
      { stages: [{ driver: 12, driven: 12 }] },
    ]);
  });
});

describe('tyres', () => {
  test('every source beside the printed size, and what each is worth', () => {
    const found = tyreTurns(tyreInput.parse({ size: '185/65R14', publishedTurnsPerKm: 550, rolled: { turns: 10, distanceM: 18.1 } }));
    const free = 1e6 / (Math.PI * (14 * 25.4 + 2 * 185 * 0.65));
    expect(found.source).toBe('rolled');
    expect(found.sources.map(({ source, plusMinusPercent }) => [source, plusMinusPercent])).toEqual([
      ['rolled', 0.3],
      ['published', 1],
      ['size', 2.5],
    ]);
    expect(found.sources.map(({ againstSizePercent }) => againstSizePercent)).toEqual(
      [100 * (10_000 / 18.1 / free - 1), 100 * (550 / free - 1), 0].map((each) => expect.closeTo(each, 9) as number),
    );
    expect(found).toMatchObject({
      turnsPerKm: expect.closeTo(10_000 / 18.1, 9) as number,
      turnsPerMile: expect.closeTo((10_000 / 18.1) * MILE, 6) as number,
      circumferenceMm: expect.closeTo(1810, 9) as number,
      diameterMm: expect.closeTo(1810 / Math.PI, 9) as number,
      loadedTurnsPerKm: expect.closeTo(1.03 * free, 9) as number,
      fromSize: { turnsPerKm: expect.closeTo(free, 9) as number },
    });
  });

  test.each([
    ['185/65R14', 'metric', 596.1, 0.01],
    ['31x10.5R15', 'highFlotation', 787.4, null],
    ['6.00-16', 'oldInch', null, null],
    ['G78-14', 'alphanumeric', null, 0.02],
  ])('%s is a %s size', (size, series, diameter, sdShare) => {
    const found = parseTyre(size);
    expect(found.series).toBe(series);
    if (diameter !== null) expect(found.diameterMm).toBeCloseTo(diameter, 1);
    if (sdShare !== null) expect(found.sdShare).toBe(sdShare);
  });
});

describe('speedometer gears', () => {
  const asked = { driveTeeth: [7, 8], drivenTeeth: [20, 21, 22, 23], axleRatio: 3.73, turnsPerKm: 534, cableTurnsPerMile: 1000 };
  const takeoff = (more: object = {}) => takeoffPairs(takeoffInput.parse({ ...asked, ...more }));
  // What the cable wants, pair by pair, by the sum on paper.
  const off = (drive: number, driven: number) => 100 * (((534 * MILE * 3.73) / 1000) * (drive / driven) - 1);

  test('each pair reads off by what the sum on paper says, and drifts ten times that in a thousand', () => {
    const { options, exactDrivenTeeth } = takeoff();
    expect(options).toHaveLength(8);
    for (const { driveTeeth, drivenTeeth, readingErrorPercent, driftPer1000 } of options) {
      expect(readingErrorPercent).toBeCloseTo(off(driveTeeth, drivenTeeth), 9);
      expect(driftPer1000).toBeCloseTo(10 * readingErrorPercent, 9);
    }
    expect(exactDrivenTeeth).toEqual(
      [7, 8].map((driveTeeth) => ({ driveTeeth, drivenTeeth: expect.closeTo(((534 * MILE * 3.73) / 1000) * driveTeeth, 9) as number })),
    );
    const sizes = options.map(({ readingErrorPercent }) => Math.abs(readingErrorPercent));
    expect(sizes).toEqual([...sizes].sort((p, q) => p - q));
  });

  test('never low puts every pair that reads low behind, and a drive gear that stays is kept', () => {
    const high = takeoff({ rule: 'neverLow' }).options.map(({ readingErrorPercent }) => readingErrorPercent >= 0);
    expect(high).toEqual([...high].sort((p, q) => Number(q) - Number(p)));
    expect(takeoff({ rule: 'keepDrive', keepDriveTeeth: 8 }).options.map(({ driveTeeth }) => driveTeeth)).toEqual([8, 8, 8, 8, 7, 7, 7, 7]);
    expect(
      takeoff({
        pairsAllowed: [
          [7, 21],
          [9, 30],
        ],
      }).options,
    ).toHaveLength(1);
  });

  test('miles and kilometres are the same road', () => {
    const { turnsPerKm: _, cableTurnsPerMile: __, ...rest } = asked;
    const km = takeoffPairs(takeoffInput.parse({ ...rest, turnsPerMile: 534 * MILE, cableTurnsPerKm: 1000 / MILE }));
    expect(km.options.map(({ driveTeeth, drivenTeeth }) => [driveTeeth, drivenTeeth])).toEqual(
      takeoff().options.map(({ driveTeeth, drivenTeeth }) => [driveTeeth, drivenTeeth]),
    );
    km.options.forEach(({ readingErrorPercent }, i) =>
      expect(readingErrorPercent).toBeCloseTo(takeoff().options[i]?.readingErrorPercent ?? NaN, 9),
    );
  });
});

test('an odometer: turns by the cable of its unit, minutes by hand and by drill', () => {
  const km = odometerCorrection(
    correctInput.parse({ reading: 48_210, missed: 120, unit: 'km', cableTurnsPerMile: 1000, handRpm: 60, drillRpm: 1200 }),
  );
  expect(km).toMatchObject({ newReading: 48_330, turns: expect.closeTo((120 * 1000) / MILE, 6) as number });
  const mile = odometerCorrection(
    correctInput.parse({ reading: 48_210, missed: 120, unit: 'mile', cableTurnsPerMile: 1000, handRpm: 60, drillRpm: 1200 }),
  );
  expect(mile).toMatchObject({ turns: 120_000, minutesByHand: 2000, minutesByDrill: 100 });
  const perKm = odometerCorrection(correctInput.parse({ reading: 10, missed: 100, unit: 'mile', cableTurnsPerKm: 621.371192 }));
  expect(perKm.turns).toBeCloseTo(100_000, 2);
  expect(() => odometerCorrection(correctInput.parse({ reading: 10, missed: 5 }))).toThrow(/missing/);
});

test('trains for a reduction: by the gears that are there, at their centre distance', () => {
  const gears = [12, 15, 36, 48].map((teeth) => ({ teeth, normalModuleMm: 1 }));
  const design = (more: object) => designTrains(designInput.parse({ reduction: 3, stages: 1, gears, ...more }));
  expect(design({}).trains[0]).toMatchObject({ stages: [{ driver: 12, driven: 36, centreDistanceMm: 24 }], reduction: 3, errorPercent: 0 });
  const near = design({ reduction: 3.15, centreDistanceMm: 31.5, centrePlusMinusMm: 0.6 }).trains;
  expect(near.map(({ stages }) => stages[0])).toEqual([expect.objectContaining({ driver: 15, driven: 48, centreDistanceMm: 31.5 })]);
  expect(near[0]?.errorPercent).toBeCloseTo(100 * (3.2 / 3.15 - 1), 9);
});

test('other tyres, axle and top gear: engine speed and reading follow', () => {
  const before = { turnsPerKm: 500, axleRatio: 3.9 };
  const found = drivelineChange(
    changeInput.parse({ before, after: { turnsPerKm: 525, axleRatio: 3.9, topGearRatio: 0.9 }, readsNowPercent: 2 }),
  );
  expect(found.engineChangePercent).toBeCloseTo(100 * (1.05 * 0.9 - 1), 9);
  for (const { trueKmh, rpmBefore, rpmAfter } of found.engine) {
    expect(rpmBefore).toBeCloseTo((trueKmh / 60) * 500 * 3.9, 6);
    expect(rpmAfter).toBeCloseTo(rpmBefore * 1.05 * 0.9, 6);
  }
  // Smaller tyres turn more often: the same pull wants a longer axle, the same reading more driven teeth.
  expect(found.axleForTheSame).toBeCloseTo(3.9 / 1.05, 9);
  expect(found.drivenTeethFactor).toBeCloseTo(1.05, 9);
  expect(found.readsAfterPercent).toBeCloseTo(100 * (1.02 * 1.05 - 1), 9);
  expect(found.driftPer1000).toBeCloseTo(1000 * (1.02 * 1.05 - 1), 6);
  for (const { trueKmh, before: was, after } of found.shown) {
    expect(was).toBeCloseTo(1.02 * trueKmh, 9);
    expect(after).toBeCloseTo(1.02 * 1.05 * trueKmh, 9);
  }
});

test('another pair: engine speed at each road speed, and what a thousand kilometres cost', () => {
  const asked = swapInput.parse({
    otherReduction: 2.5,
    turnsPerKm: 480,
    speedsKmh: [50, 100],
    yearlyKm: 5000,
    now: { name: 'now', driverTeeth: 15, drivenTeeth: 45 },
    others: [{ name: 'tall', driverTeeth: 16, drivenTeeth: 44, lifeKm: 10_000, priceMinor: 5000 }],
  });
  const [now, tall] = gearSwap(asked).options;
  expect(now).toEqual({
    name: 'now',
    reduction: 3,
    changePercent: 0,
    engineRpm: [50, 100].map((speedKmh) => ({ speedKmh, rpm: expect.closeTo((speedKmh / 60) * 480 * 2.5 * 3, 9) as number })),
  });
  expect(tall).toMatchObject({
    reduction: 2.75,
    changePercent: expect.closeTo(100 * (2.75 / 3 - 1), 9) as number,
    pricePer1000KmMinor: 500,
    yearsOfLife: 2,
  });
  const { yearlyKm: _, ...rest } = asked;
  expect(gearSwap(rest).options[1]).not.toHaveProperty('yearsOfLife');
});
