import { cylindricalDimensions } from './cylindrical/dimensions.ts';
import { identifyCylindrical } from './cylindrical/identify.ts';
import { identifyInput } from './cylindrical/identifySchema.ts';
import { cylindricalInput } from './cylindrical/schema.ts';
import { identifyWorm, wormIdentifyInput } from './worm/identify.ts';
import { wornTip } from './wornTip.ts';

const m = (value: number, plusMinus = 0.02) => ({ value, plusMinus });
const rad = (deg: number) => (deg * Math.PI) / 180;

test('tips read low by a loss within the given one are as likely as unworn ones, and no likelier beyond it', () => {
  // Convolution of a uniform loss of 0.1 with a normal error of 0.02: its plateau is 1/0.1, its edges half of that.
  expect(wornTip(27 - 0.05, 27, 0.02, 0.1)).toBeCloseTo(10 * 0.9876, 2);
  expect(wornTip(27, 27, 0.02, 0.1)).toBeCloseTo(5, 4);
  expect(wornTip(27 - 0.1, 27, 0.02, 0.1)).toBeCloseTo(5, 4);
  // No loss to speak of: the density of the error alone.
  expect(wornTip(27, 27, 0.02, 0.001)).toBeCloseTo(1 / (0.02 * Math.sqrt(2 * Math.PI)), 9);
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
