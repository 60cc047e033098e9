import fc from 'fast-check';
import { gaussian, seeded } from '../../testing.ts';
import { standardSizes } from '../standardSizes.ts';
import { wormDimensions, wormDimensionsInput } from './dimensions.ts';
import { identifyWorm, wormIdentifyInput } from './identify.ts';

const NOISE = 0.03;
const PITCHES = 4;

/** A made-up worm measured by a made-up hand. */
function madeUp(seed: number) {
  const random = seeded(seed);
  const sizes = standardSizes(['module', 'diametralPitch']).filter(({ moduleMm }) => moduleMm >= 0.5 && moduleMm <= 3);
  const size = sizes[Math.floor(random() * sizes.length)] as (typeof sizes)[number];
  const starts = 1 + Math.floor(random() * 3);
  const truth = wormDimensions(
    wormDimensionsInput.parse({ starts, wheelTeeth: 30, axialModuleMm: size.moduleMm, diameterQuotient: 8 + 14 * random() }),
  );
  const read = (value: number) => ({ value: value + NOISE * gaussian(random), plusMinus: NOISE });
  const worn = 0.15 * random();
  return {
    size,
    starts,
    truth,
    measurements: {
      tipDiameterMm: read(truth.wormTipDiameterMm - worn),
      rootDiameterMm: read(truth.wormRootDiameterMm),
      axialPitch: { threads: PITCHES, lengthMm: read(PITCHES * truth.axialPitchMm) },
    },
  };
}

test('a measured worm is told again by its readings, worn tips and all', () => {
  const runs = 200;
  let [first, within] = [0, 0];
  for (let seed = 1; seed <= runs; seed++) {
    const { size, starts, measurements } = madeUp(seed);
    const { candidates } = identifyWorm(wormIdentifyInput.parse({ measurements, starts }));
    const rank = candidates.findIndex((each) => each.system === size.system && each.size === size.size);
    if (rank === 0) first++;
    if (rank >= 0 && rank < 3) within++;
  }
  // Some sizes differ by less than the caliper reads over four pitches (0.9 and 28 DP: 0.02 mm): those can only be within three.
  expect(first / runs).toBeGreaterThanOrEqual(0.93);
  expect(within / runs).toBeGreaterThanOrEqual(0.995);
});

test('probabilities of candidates and none-of-these sum to one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 100_000 }),
      fc.subarray(['tipDiameterMm', 'rootDiameterMm', 'axialPitch'] as const, { minLength: 1 }),
      (seed, keys) => {
        const { measurements } = madeUp(seed);
        const some = Object.fromEntries(keys.map((key) => [key, measurements[key]]));
        const { candidates, noneOfTheseProbability } = identifyWorm(wormIdentifyInput.parse({ measurements: some }));
        return Math.abs(candidates.reduce((sum, { probability }) => sum + probability, noneOfTheseProbability) - 1) < 1e-9;
      },
    ),
    { numRuns: 40 },
  );
});

test('the fitted pitch diameter comes within a tenth of the true one', () => {
  for (let seed = 500; seed < 540; seed++) {
    const { truth, starts, measurements } = madeUp(seed);
    const best = identifyWorm(wormIdentifyInput.parse({ measurements, starts })).candidates[0];
    expect(Math.abs((best?.wormPitchDiameterMm ?? NaN) - truth.wormPitchDiameterMm)).toBeLessThan(0.25);
  }
});

test('with only the tips known, the pitch along the worm is asked for', () => {
  const { nextMeasurement } = identifyWorm(
    wormIdentifyInput.parse({ measurements: { tipDiameterMm: { value: 20, plusMinus: NOISE } }, starts: 1 }),
  );
  expect(nextMeasurement?.quantity).toBe('axialPitch');
});

test('when nothing more would tell the candidates apart, nothing more is asked', () => {
  const measurements = {
    tipDiameterMm: { value: 20, plusMinus: 0.005 },
    rootDiameterMm: { value: 15.5, plusMinus: 0.005 },
    axialPitch: { threads: 8, lengthMm: { value: 8 * Math.PI, plusMinus: 0.005 } },
  };
  expect(identifyWorm(wormIdentifyInput.parse({ measurements, starts: 1 })).nextMeasurement).toBeNull();
});

test('a pitch that follows no standard is called none of these', () => {
  const measurements = { axialPitch: { threads: 10, lengthMm: { value: 10 * 3.7, plusMinus: 0.005 } } };
  expect(identifyWorm(wormIdentifyInput.parse({ measurements, starts: 1 })).noneOfTheseProbability).toBeGreaterThan(0.9);
});

test('wear only ever lowers the tips: a tip above the candidate speaks against it', () => {
  const withTip = (tip: number) => {
    const measurements = {
      tipDiameterMm: { value: tip, plusMinus: NOISE },
      rootDiameterMm: { value: 15.5, plusMinus: NOISE },
      axialPitch: { threads: 4, lengthMm: { value: 4 * Math.PI, plusMinus: NOISE } },
    };
    return identifyWorm(wormIdentifyInput.parse({ measurements, starts: 1 }));
  };
  // Module 1 with a root of 15.5 has tips of 20 when new; 0.6 more cannot be wear.
  expect(withTip(19.9).noneOfTheseProbability).toBeLessThan(0.05);
  expect(withTip(20.6).noneOfTheseProbability).toBeGreaterThan(10 * withTip(19.9).noneOfTheseProbability);
});
