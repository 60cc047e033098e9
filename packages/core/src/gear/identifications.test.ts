import { freshArcs, arcsInput } from './arcs.ts';
import { bevelIdentifyInput, identifyBevel } from './bevel/identify.ts';
import { bevelQuestion } from './bevel/question.ts';
import { wantedBevel } from './bevel/wanted.ts';
import { compareGears } from './compare.ts';
import { cylindricalDimensions } from './cylindrical/dimensions.ts';
import { identifyCylindrical } from './cylindrical/identify.ts';
import { identifyInput } from './cylindrical/identifySchema.ts';
import { cylindrical } from './cylindrical/kind.ts';
import { meshInput, meshPair } from './cylindrical/mesh.ts';
import { cylindricalInput } from './cylindrical/schema.ts';
import { wantedCylindrical } from './cylindrical/wanted.ts';
import { gearWear, wearInput } from './cylindrical/wear.ts';
import { wearQuestion } from './cylindrical/wearQuestion.ts';
import type { GearOfFamily, MeasuredGear } from './measuredGear.ts';
import { identifyRack, rackIdentifyInput } from './rack/identify.ts';
import { byOver, combined, latestOver, type DimensionReading } from './readings.ts';
import { identifyScrew, screwIdentifyInput } from './screw/identify.ts';
import { wormDimensions, wormDimensionsInput } from './worm/dimensions.ts';
import { identifyWorm, wormIdentifyInput } from './worm/identify.ts';
import { worm } from './worm/kind.ts';
import { identifyWheel, wheelIdentifyInput } from './wormWheel/identify.ts';
import { wantedWheel } from './wormWheel/wanted.ts';

const m = (value: number, plusMinus = 0.02) => ({ value, plusMinus });
const rad = (deg: number) => (deg * Math.PI) / 180;
const inv = (angle: number) => Math.tan(angle) - angle;

describe('a candidate predicts what the standard gives, and its residuals are what was read less that', () => {
  test('of a worm: ISO/TR 10828 by its own dimensions', () => {
    const sound = wormDimensions(wormDimensionsInput.parse({ starts: 2, wheelTeeth: 30, axialModuleMm: 1.5, wormPitchDiameterMm: 20 }));
    const measurements = {
      tipDiameterMm: m(sound.wormTipDiameterMm - 0.03),
      rootDiameterMm: m(sound.wormRootDiameterMm + 0.02),
      axialPitch: { threads: 4, lengthMm: m(4 * sound.axialPitchMm + 0.02) },
      leadAngleDeg: m(sound.leadAngleDeg + 0.1, 0.3),
      centreDistanceMm: { wheelTeeth: 30, distanceMm: m(sound.centreDistanceMm) },
    };
    const [first] = identifyWorm(wormIdentifyInput.parse({ measurements, starts: 2 })).candidates;
    const d = first?.wormPitchDiameterMm ?? 0;
    expect(first).toMatchObject({ system: 'module', size: 1.5, starts: 2 });
    expect(Math.abs(d - 20)).toBeLessThan(0.12);
    expect(first?.diameterQuotient).toBeCloseTo(d / 1.5, 9);
    expect(first?.predicted).toEqual({
      tipDiameterMm: expect.closeTo(d + 3, 9) as number,
      rootDiameterMm: expect.closeTo(d - 3.75, 9) as number,
      axialPitchMm: expect.closeTo(Math.PI * 1.5, 9) as number,
      leadMm: expect.closeTo(Math.PI * 3, 9) as number,
      leadAngleDeg: expect.closeTo((Math.atan(3 / d) * 180) / Math.PI, 9) as number,
      centreDistanceMm: expect.closeTo((d + 45) / 2, 9) as number,
    });
    expect(first?.residuals).toEqual({
      tipDiameterMm: expect.closeTo(measurements.tipDiameterMm.value - d - 3, 9) as number,
      rootDiameterMm: expect.closeTo(measurements.rootDiameterMm.value - d + 3.75, 9) as number,
      axialPitchMm: expect.closeTo(0.005, 9) as number,
      leadAngleDeg: expect.closeTo(measurements.leadAngleDeg.value - (Math.atan(3 / d) * 180) / Math.PI, 9) as number,
      centreDistanceMm: expect.closeTo(sound.centreDistanceMm - (d + 45) / 2, 9) as number,
    });
  });

  test('a worm is told by its root and the distance alone, and worn tips read low', () => {
    const root = identifyWorm(
      wormIdentifyInput.parse({ measurements: { rootDiameterMm: m(16.25), axialPitch: { threads: 4, lengthMm: m(18.85) } }, starts: 1 }),
    );
    expect(root.candidates[0]?.size).toBe(1.5);
    expect(root.candidates[0]?.wormPitchDiameterMm).toBeCloseTo(20, 1);
    const centre = identifyWorm(
      wormIdentifyInput.parse({
        measurements: { centreDistanceMm: { wheelTeeth: 30, distanceMm: m(32.5) }, axialPitch: { threads: 4, lengthMm: m(18.85) } },
        starts: 1,
      }),
    );
    expect(centre.candidates[0]?.size).toBe(1.5);
    expect(centre.candidates[0]?.wormPitchDiameterMm).toBeCloseTo(20, 0);
    const worn = identifyWorm(
      wormIdentifyInput.parse({
        measurements: { tipDiameterMm: m(22.9), rootDiameterMm: m(16.25), axialPitch: { threads: 4, lengthMm: m(18.85) } },
        starts: 1,
      }),
    );
    expect(worn.candidates[0]?.tipLossMm).toBeGreaterThan(0.02);
    expect(worn.candidates[0]?.tipLossMm).toBeLessThan(0.2);
  });

  test('of a spur gear: spans by ISO 21771, and the gear at its centre distance', () => {
    const teeth = 25;
    const w = (k: number, x: number) => Math.cos(rad(20)) * (Math.PI * (k - 0.5) + teeth * inv(rad(20)) + 2 * x * Math.tan(rad(20)));
    const spans = [3, 4].map((k) => ({ teeth: k, spanMm: m(w(k, 0)) }));
    const asked = {
      teeth,
      measurements: { tipDiameterMm: m(27), rootDiameterMm: m(22.5), spans, centreDistanceMm: { mateTeeth: 35, distanceMm: m(30) } },
    };
    const [first] = identifyCylindrical(identifyInput.parse(asked)).candidates;
    const x = first?.profileShift ?? NaN;
    expect(first).toMatchObject({ system: 'module', size: 1, pressureAngleDeg: 20 });
    expect(Math.abs(x)).toBeLessThan(0.05);
    expect(first?.predicted.tipDiameterMm).toBeCloseTo(27 + 2 * x, 9);
    expect(first?.predicted.rootDiameterMm).toBeCloseTo(22.5 + 2 * x, 9);
    expect(first?.residuals.tipDiameterMm).toBeCloseTo(-2 * x, 9);
    expect(first?.residuals.rootDiameterMm).toBeCloseTo(-2 * x, 9);
    const thinned = (first?.toothThinningMm ?? 0) * Math.cos(rad(20));
    expect(first?.spans).toEqual(
      [3, 4].map((k) => ({
        teeth: k,
        predictedMm: expect.closeTo(w(k, x) - thinned, 9) as number,
        residualMm: expect.closeTo(w(k, 0) - w(k, x) + thinned, 9) as number,
      })),
    );
    // At another distance it cannot be this size: the housing speaks against it.
    const off = identifyCylindrical(
      identifyInput.parse({
        ...asked,
        measurements: { tipDiameterMm: m(27, 0.3), centreDistanceMm: { mateTeeth: 35, distanceMm: m(31.75) } },
      }),
    );
    expect(off.candidates[0]).toMatchObject({ system: 'diametralPitch', size: 24 });
  });

  test('of bevels, wheels, racks and screws', () => {
    const bevel = identifyBevel(
      bevelIdentifyInput.parse({
        pinionTeeth: 12,
        wheelTeeth: 24,
        measurements: { wheelTipDiameterMm: m(49.79), outerConeDistanceMm: m(26.83, 0.3), toothHeightMm: m(4.5) },
      }),
    );
    const cone = Math.atan(0.5);
    const x = bevel.candidates[0]?.profileShift ?? NaN;
    expect(bevel.candidates[0]).toMatchObject({ size: 2, pinionTeeth: 12, wheelTeeth: 24 });
    expect(bevel.candidates[0]?.predicted).toEqual({
      pinionTipDiameterMm: expect.closeTo(2 * (12 + 2 * (1 + x) * Math.cos(cone)), 9) as number,
      wheelTipDiameterMm: expect.closeTo(2 * (24 + 2 * (1 - x) * Math.sin(cone)), 9) as number,
      outerConeDistanceMm: expect.closeTo(12 / Math.sin(cone), 9) as number,
      toothHeightMm: expect.closeTo(4.5, 9) as number,
      pinionConeAngleDeg: expect.closeTo((cone * 180) / Math.PI, 9) as number,
    });
    expect(bevel.candidates[0]?.residuals.outerConeDistanceMm).toBeCloseTo(26.83 - 12 / Math.sin(cone), 9);
    const wheel = identifyWheel(
      wheelIdentifyInput.parse({
        teeth: 40,
        measurements: {
          throatDiameterMm: m(84),
          rimPitch: { teeth: 5, lengthMm: m(32.99, 0.2) },
          toothHeightMm: m(4.4),
          centreDistanceMm: { wormPitchDiameterMm: 20, distanceMm: m(50) },
        },
      }),
    );
    const s = wheel.candidates[0]?.wheelProfileShift ?? NaN;
    expect(wheel.candidates[0]).toMatchObject({ size: 2, axialModuleMm: 2, teeth: 40 });
    expect(wheel.candidates[0]?.predicted).toEqual({
      throatDiameterMm: expect.closeTo(2 * (42 + 2 * s), 9) as number,
      rimPitchMm: expect.closeTo((2 * Math.PI * (42 + 2 * s)) / 40, 9) as number,
      toothHeightMm: expect.closeTo(4.4, 9) as number,
      centreDistanceMm: expect.closeTo((20 + 2 * (40 + 2 * s)) / 2, 9) as number,
    });
    const rack = identifyRack(
      rackIdentifyInput.parse({
        measurements: {
          pitch: { teeth: 10, lengthMm: m(62.83) },
          toothHeightMm: m(4.5),
          pressureAngleDeg: m(20, 1),
          pinionTravelMm: { pinionTeeth: 12, turns: 2, travelMm: m(150.8, 0.3) },
        },
      }),
    );
    expect(rack.candidates[0]).toMatchObject({
      size: 2,
      pressureAngleDeg: 20,
      residuals: { pitchMm: expect.closeTo(6.283 - 2 * Math.PI, 9) as number, pressureAngleDeg: 0 },
    });
    expect(rack.candidates[0]?.residuals.pinionTravelMm).toBeCloseTo(150.8 / 24 - 2 * Math.PI, 9);
    const screw = identifyScrew(
      screwIdentifyInput.parse({ measurements: { pitch: { threads: 10, lengthMm: m(15) }, travel: { turns: 10, travelMm: m(30) } } }),
    );
    expect(screw.candidates[0]).toMatchObject({
      series: 'metric',
      size: 1.5,
      starts: 2,
      leadMm: 3,
      predicted: { pitchMm: 1.5, leadMm: 3, starts: 2 },
    });
  });
});

const reads = (value: number, over?: number): readonly DimensionReading[] => [
  { entryId: 'e', reading: m(value, 0.03), instrument: 'digitalCaliper', entered: `${value}`, ...(over !== undefined && { over }) },
];
const card = (type: GearOfFamily['type'], boreShape?: GearOfFamily['boreShape']): GearOfFamily => ({ type, body: 'b', boreShape });

describe('what is looked for', () => {
  const gear: MeasuredGear = {
    hand: 'left',
    readings: { teeth: reads(24), mateTeeth: reads(12), boreDiameterMm: reads(10), faceWidthMm: reads(8) },
  };
  const seat = { boreDiameterMm: { value: 10, plusMinus: 0.03 }, faceWidthMm: { value: 8, plusMinus: 0.03 } };
  const candidate = { teeth: 24, normalModuleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0 } as Parameters<typeof wantedCylindrical>[0];

  test('a spur gear has no helix and no hand, a helical one both', () => {
    expect(wantedCylindrical(candidate, gear, card('spur', 'round'))).toEqual({
      type: 'spur',
      teeth: 24,
      normalModuleMm: 1,
      pressureAngleDeg: 20,
      boreShape: 'round',
      ...seat,
    });
    expect(wantedCylindrical({ ...candidate, helixAngleDeg: 15 }, gear, card('helical'))).toEqual({
      type: 'helical',
      teeth: 24,
      normalModuleMm: 1,
      pressureAngleDeg: 20,
      hand: 'left',
      ...seat,
      helixAngleDeg: { value: 15, plusMinus: 0.5 },
    });
    expect(wantedCylindrical(candidate, gear, card('sector')).type).toBe('sector');
  });

  test('a bevel knows its mate, a wheel its hand; the flat of a D goes with it', () => {
    expect(wantedBevel({ outerModuleMm: 2 } as never, gear, card('bevel'))).toEqual({
      type: 'bevel',
      normalModuleMm: 2,
      teeth: 24,
      mateTeeth: 12,
      ...seat,
    });
    const dFlat = { shape: 'dFlat' as const, bore: { diameterMm: m(12), acrossFlatsMm: m(11) }, shaft: {} };
    expect(
      wantedWheel({ axialModuleMm: 2, teeth: 40 } as never, { readings: {}, hand: 'right', seat: dFlat }, card('wormWheel', 'round')),
    ).toEqual({
      type: 'wormWheel',
      teeth: 40,
      normalModuleMm: 2,
      hand: 'right',
      boreShape: 'dFlat',
      boreDiameterMm: m(12),
      dFlatMm: m(11),
    });
  });

  test('candidates are named alike in every address', () => {
    expect(worm.identification.key({ system: 'module', size: 1.5, starts: 2 } as never)).toBe('module-1.5-2');
    expect(
      cylindrical.identification.key({
        system: 'diametralPitch',
        size: 24,
        teeth: 17,
        pressureAngleDeg: 14.5,
        helixAngleDeg: 14.6,
      } as never),
    ).toBe('diametralPitch-24-17-14.5-15');
  });
});

test('readings over different counts stay apart, the last read at the end', () => {
  const list = [...reads(7.6, 3), ...reads(10.6, 4), ...reads(7.7, 3)];
  expect(byOver(list).map(({ over, reading }) => [over, reading.value])).toEqual([
    [4, 10.6],
    [3, expect.closeTo(7.65, 9) as number],
  ]);
  expect(latestOver(list)?.over).toBe(3);
  expect([byOver(), latestOver([]), combined([]), combined(undefined)]).toEqual([[], null, undefined, undefined]);
});

test('wear is asked for against the gear as it was, with the teeth that the last photo misses', () => {
  const gear = {
    readings: { spanMm: reads(7.6, 3), tipDiameterMm: reads(26.9) },
    scans: [{ found: { teeth: 25, teethPresent: 25 } }, { found: { teeth: 25, teethPresent: 22 } }],
  };
  const asked = wearQuestion({ teeth: 25, normalModuleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0.1 } as never, gear);
  expect(asked).toEqual({
    gear: { teeth: 25, normalModuleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0.1 },
    measured: { spans: [{ teeth: 3, spanMm: m(7.6, 0.03) }], overPins: [], tipDiameterMm: m(26.9, 0.03) },
    missingTeeth: 3,
  });
  expect(wearQuestion({ teeth: 3 } as never, gear)).toBeNull();
  expect(bevelQuestion({ readings: { teeth: reads(12), mateTeeth: reads(12), toothHeightMm: reads(4.5) } })).toMatchObject({
    pinionTeeth: 12,
    wheelTeeth: 12,
  });
});

test('a gear that was drawn thinner is worn only by what it is thinner than that', () => {
  const drawn = { teeth: 25, normalModuleMm: 1, toothThinningMm: 0.05 };
  const { spanMm } = cylindricalDimensions(cylindricalInput.parse({ ...drawn, spanTeeth: 3 }));
  const worn = gearWear(
    wearInput.parse({ gear: drawn, measured: { spans: [{ teeth: 3, spanMm: m(spanMm - 0.03 * Math.cos(rad(20))) }] } }),
  );
  expect(worn.thinningMm.value).toBeCloseTo(0.03, 9);
  const pins = cylindricalDimensions(cylindricalInput.parse({ ...drawn, pinDiameterMm: 1.728 })).overPinsMm ?? 0;
  expect(
    gearWear(wearInput.parse({ gear: drawn, measured: { overPins: [{ pinDiameterMm: 1.728, overPinsMm: m(pins) }] } })).thinningMm.value,
  ).toBeCloseTo(0, 6);
});

test('normal backlash of a helical pair is the circumferential one by the working angle and the base helix (ISO 21771)', () => {
  const asked = {
    normalModuleMm: 2,
    helixAngleDeg: 15,
    pinion: { teeth: 17, toothThinningMm: 0.05 },
    wheel: { teeth: 40, toothThinningMm: 0.05 },
  };
  const found = meshPair(meshInput.parse(asked));
  const baseHelix = Math.asin(Math.sin(rad(15)) * Math.cos(rad(20)));
  expect(found.normalBacklashMm).toBeCloseTo(
    found.circumferentialBacklashMm * Math.cos(rad(found.workingPressureAngleDeg)) * Math.cos(baseHelix),
    9,
  );
  expect(found.normalBacklashMm).toBeCloseTo(0.1 * Math.cos(rad(20)), 6);
});

test('the longest run of fresh teeth comes first, and nothing is fresh where all have worked', () => {
  const arcs = freshArcs(
    arcsInput.parse({
      teeth: 40,
      worked: [
        { from: 1, to: 6 },
        { from: 10, to: 14 },
      ],
      needTeeth: 5,
    }),
  );
  expect(arcs.fresh.map(({ teeth }) => teeth)).toEqual([26, 3]);
  expect(freshArcs(arcsInput.parse({ teeth: 12, worked: [{ from: 1, to: 12 }], needTeeth: 5 })).fresh).toEqual([]);
});

test('two gears compared: the same, different, too close to tell, read on one only', () => {
  const { attributes, deciding } = compareGears({
    first: { teeth: m(20, 0), faceWidthMm: m(10, 0.03), boreDiameterMm: m(8, 0.05), tipDiameterMm: m(22) },
    second: { teeth: m(20, 0), faceWidthMm: m(12, 0.03), boreDiameterMm: m(8.18, 0.05), hubLengthMm: m(4) },
  });
  expect(Object.fromEntries(attributes.map(({ name, state }) => [name, state]))).toEqual({
    teeth: 'same',
    faceWidthMm: 'differs',
    boreDiameterMm: 'tooCloseToTell',
    tipDiameterMm: 'notRead',
    hubLengthMm: 'notRead',
  });
  expect(deciding).toBe('faceWidthMm');
  expect(attributes.find(({ name }) => name === 'faceWidthMm')).toMatchObject({
    difference: 2,
    plusMinus: expect.closeTo(Math.hypot(0.03, 0.03), 9) as number,
  });
});
