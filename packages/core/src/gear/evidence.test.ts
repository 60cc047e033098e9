import fc from 'fast-check';
import { logNormalBelow, logNormalBetween } from '../inference/normal.ts';
import { coneAngles } from './bevel/dimensions.ts';
import { bevelIdentifyInput, identifyBevel } from './bevel/identify.ts';
import { cylindricalDimensions } from './cylindrical/dimensions.ts';
import { identifyCylindrical } from './cylindrical/identify.ts';
import { identifyInput } from './cylindrical/identifySchema.ts';
import { cylindricalInput } from './cylindrical/schema.ts';
import { identifyWheel, wheelIdentifyInput } from './wormWheel/identify.ts';
import { identifyWorm, wormIdentifyInput } from './worm/identify.ts';
import { mergedReading } from './mergedReadings.ts';
import { shiftEvidence } from './shiftEvidence.ts';
import { logWorn } from './worn.ts';

const m = (value: number, plusMinus = 0.02) => ({ value, plusMinus });
const worn = (...given: Parameters<typeof logWorn>) => Math.exp(logWorn(...given));
const rad = (deg: number) => (deg * Math.PI) / 180;

test('tips read low by a loss within the given one are as likely as unworn ones, and no likelier beyond it', () => {
  // Convolution of a uniform loss of 0.1 with a normal error of 0.02: its plateau is 1/0.1, its edges half of that.
  expect(worn(27 - 0.05, 27, 0.02, 0.1)).toBeCloseTo(10 * 0.9876, 2);
  expect(worn(27, 27, 0.02, 0.1)).toBeCloseTo(5, 4);
  expect(worn(27 - 0.1, 27, 0.02, 0.1)).toBeCloseTo(5, 4);
  // No loss to speak of: the density of the error alone.
  expect(worn(27, 27, 0.02, 0.001)).toBeCloseTo(1 / (0.02 * Math.sqrt(2 * Math.PI)), 9);
});

test('a helical gear is told by its centre distance: half the sum of the teeth, by the module over the cosine of the helix', () => {
  const distance = (2 * (20 + 40)) / 2 / Math.cos(rad(20));
  const { candidates } = identifyCylindrical(
    identifyInput.parse({
      teeth: 20,
      measurements: {
        tipDiameterMm: m((2 * 20) / Math.cos(rad(20)) + 4, 0.1),
        helixAngleDeg: m(20, 0.2),
        centreDistanceMm: { mateTeeth: 40, distanceMm: m(distance, 0.05) },
      },
    }),
  );
  expect(candidates[0]).toMatchObject({ system: 'module', size: 2 });
  expect(candidates[0]?.profileShift).toBeCloseTo(0, 1);
});

test('teeth of a piece are sought as far as the error of its arc allows', () => {
  // 5 teeth over 72 ± 6 degrees are 25 ± 2.1; tips and spans here are those of 30 teeth of module 2.
  const sound = cylindricalDimensions(cylindricalInput.parse({ teeth: 30, normalModuleMm: 2, spanTeeth: 4 }));
  const { candidates } = identifyCylindrical(
    identifyInput.parse({
      teethOverArc: { teeth: 5, arcDeg: m(72, 6) },
      measurements: {
        tipDiameterMm: m(sound.tipDiameterMm),
        spans: [4, 5, 3].map((teeth) => ({
          teeth,
          spanMm: m(cylindricalDimensions(cylindricalInput.parse({ teeth: 30, normalModuleMm: 2, spanTeeth: teeth })).spanMm, 0.01),
        })),
      },
      wear: { maxThinningMm: 0.02, maxTipLossMm: 0.02 },
    }),
  );
  expect(candidates[0]).toMatchObject({ teeth: 30, size: 2 });
});

test('a distance that agrees speaks for a standard worm, not for something without standard', () => {
  const measurements = { tipDiameterMm: m(23), axialPitch: { threads: 4, lengthMm: m(18.85) } };
  const without = identifyWorm(wormIdentifyInput.parse({ measurements, starts: 1 })).noneOfTheseProbability;
  const agreeing = { ...measurements, centreDistanceMm: { wheelTeeth: 30, distanceMm: m(32.5) } };
  expect(identifyWorm(wormIdentifyInput.parse({ measurements: agreeing, starts: 1 })).noneOfTheseProbability).toBeLessThan(without);
});

test('exact readings of a shifted wheel or bevel are told, however finely the shift lies', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(1, 1.5, 2, 3, 4),
      fc.integer({ min: 18, max: 60 }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      fc.constantFrom(0.002, 0.02),
      (module, teeth, shift, plusMinus) => {
        const wheel = identifyWheel(
          wheelIdentifyInput.parse({
            teeth,
            measurements: {
              throatDiameterMm: m(module * (teeth + 2 + 2 * shift), plusMinus),
              centreDistanceMm: { wormPitchDiameterMm: 10 * module, distanceMm: m((module * (10 + teeth + 2 * shift)) / 2, plusMinus) },
              toothHeightMm: m(2.2 * module, plusMinus),
            },
            wear: { maxTipLossMm: 0 },
          }),
        );
        const cones = coneAngles(teeth, 2 * teeth, 90);
        const bevel = identifyBevel(
          bevelIdentifyInput.parse({
            pinionTeeth: teeth,
            wheelTeeth: 2 * teeth,
            measurements: {
              pinionTipDiameterMm: m(module * (teeth + 2 * (1 + shift) * Math.cos(cones[0])), plusMinus),
              wheelTipDiameterMm: m(module * (2 * teeth + 2 * (1 - shift) * Math.cos(cones[1])), plusMinus),
            },
            wear: { maxTipLossMm: 0 },
          }),
        );
        // To two hundredths, a small wheel of strong negative shift also fits the diametral pitch beside its module.
        const told = wheel.candidates.find(({ axialModuleMm }) => Math.abs(axialModuleMm - module) < 1e-6);
        if (plusMinus < 0.01) expect(told).toBe(wheel.candidates[0]);
        expect(told?.probability).toBeGreaterThan(0.3);
        expect(told?.wheelProfileShift).toBeCloseTo(shift, 1);
        expect(wheel.noneOfTheseProbability).toBeLessThan(0.2);
        expect(bevel.candidates[0]?.outerModuleMm).toBeCloseTo(module, 6);
        expect(bevel.noneOfTheseProbability).toBeLessThan(0.2);
      },
    ),
  );
});

test('two or three hundred readings that agree say what one says, only more surely', () => {
  const span = (teeth: number) => cylindricalDimensions(cylindricalInput.parse({ teeth: 25, normalModuleMm: 1, spanTeeth: teeth })).spanMm;
  for (const count of [1, 200, 300]) {
    const spans = Array.from({ length: count }, () => [3, 4].map((teeth) => ({ teeth, spanMm: m(span(teeth), 0.03) }))).flat();
    const { candidates, noneOfTheseProbability } = identifyCylindrical(
      identifyInput.parse({ teeth: 25, measurements: { spans: spans.slice(0, 400) } }),
    );
    expect(candidates[0]).toMatchObject({ system: 'module', size: 1 });
    expect(noneOfTheseProbability).toBeLessThan(0.05);
  }
});

test('readings of one span that contradict each other beyond their ± make it less sure, not surer', () => {
  const of = (...values: number[]) =>
    identifyCylindrical(
      identifyInput.parse({ teeth: 25, measurements: { spans: values.map((value) => ({ teeth: 3, spanMm: m(value, 0.01) })) } }),
    );
  expect(of(7.73, 7.73).candidates[0]?.probability).toBeGreaterThan(of(7.53, 7.93).candidates[0]?.probability ?? 1);
});

test('logarithms of the normal distribution far out in its tail, where the function itself is nought', () => {
  // ln Φ(−10) = −53.23128515051247 and ln(Φ(−30) − Φ(−31)) = −454.3212439955 (erfc of the C library, by another program).
  expect(logNormalBelow(-10)).toBeCloseTo(-53.23128515051247, 4);
  expect(logNormalBetween(-31, -30)).toBeCloseTo(-454.321243995, 3);
  expect(logNormalBetween(30, 31)).toBeCloseTo(-454.321243995, 3);
});

test('gears without shift stand apart from those with any: their evidence is a sum over both, whatever the readings', () => {
  const prior = { unshifted: 0.5, spread: 'even', from: -0.6, to: 0.9 } as const;
  fc.assert(
    fc.property(fc.double({ min: -0.5, max: 0.8, noNaN: true }), fc.double({ min: 0.5, max: 5, noNaN: true }), (x, module) => {
      const reading = { read: 40 + 2 * module * x - 0.05, sd: 0.02, at: 40, slope: 2 * module, loss: 0.2 };
      const found = shiftEvidence([reading], prior);
      // In closed form: over an even prior a normal error with an even loss has, inside the ends, the mass 1/slope of its whole.
      const among = 0.5 * worn(reading.read, 40, 0.02, 0.2) + (0.5 / 1.5) * (1 / reading.slope);
      const isInside = x < 0.9 - 0.3 / module && x > -0.6 + 0.3 / module;
      expect(!isInside || Math.abs(Math.exp(found?.log ?? 0) / among - 1) < 0.01).toBe(true);
    }),
  );
});

test('a wide ± of repeated readings is chance until they scatter more than one in twenty does', () => {
  const [near, wider] = [
    [m(18), m(18.04)],
    [m(18), m(18.08)],
  ].map(mergedReading);
  expect(near?.plusMinus).toBeCloseTo(0.02 / Math.SQRT2, 9);
  // Birge: half the distance, over the root of one.
  expect(wider?.plusMinus).toBeCloseTo(0.04, 9);
});
