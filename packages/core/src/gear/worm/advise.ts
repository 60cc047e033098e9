import type { NextMeasurement } from '../identifySchema.ts';
import { entropyBits } from '../../inference/entropy.ts';
import { normalDensity } from '../../inference/normal.ts';
import { INSTRUMENTS } from '../../quantity/measured.ts';
import { predictWorm } from './predict.ts';
import { ROOT_FREEDOM, type WormHypothesis, type WormReadings } from './hypothesis.ts';

interface Ranked {
  readonly hypothesis: WormHypothesis;
  readonly probability: number;
  readonly pitchDiameterMm: number;
  readonly spreadMm: number;
}

interface Measure {
  readonly quantity: string;
  readonly minutes: number;
  readonly how: string;
  readonly done: boolean;
  /** Mean and standard deviation of the reading, were the hypothesis true. */
  readonly expect: (ranked: Ranked) => readonly [number, number];
}

const PITCHES = 4;
const CALIPER = INSTRUMENTS.digitalCaliper.plusMinus;
/** Below this no reading is worth getting the caliper out. */
const LEAST_BITS = 0.02;

/** The dimension that tells the candidates apart best for its minutes; null where none is worth taking. */
export function adviseWorm(
  ranked: readonly Ranked[],
  noneOfThese: number,
  readings: WormReadings,
  starts: number | undefined,
): NextMeasurement {
  const likely = ranked.filter(({ probability }) => probability > 1e-5);
  const open = measures(readings, starts).filter(({ done }) => !done);
  const rated = open.map((measure) => ({ ...measure, bits: bitsOf(measure, likely, noneOfThese) }));
  const best = rated.reduce<(typeof rated)[number] | null>(
    (top, each) => (!top || each.bits / each.minutes > top.bits / top.minutes ? each : top),
    null,
  );
  if (!best || best.bits < LEAST_BITS) return null;
  return { quantity: best.quantity, expectedBits: best.bits, minutes: best.minutes, how: best.how };
}

function measures(readings: WormReadings, starts: number | undefined): readonly Measure[] {
  const predicted = ({ hypothesis: { size, starts: n }, pitchDiameterMm }: Ranked) => predictWorm(size.moduleMm, n, pitchDiameterMm);
  return [
    {
      quantity: 'starts',
      minutes: 0.5,
      how: 'Look at the end of the worm and count where threads begin.',
      done: starts !== undefined,
      expect: ({ hypothesis }) => [hypothesis.starts, 0.05],
    },
    {
      quantity: 'axialPitch',
      minutes: 1,
      how: `Measure along the worm over ${PITCHES} thread pitches, same side of the thread to same side.`,
      done: readings.axialPitch !== undefined,
      expect: (each) => [PITCHES * predicted(each).axialPitchMm, CALIPER],
    },
    {
      quantity: 'tipDiameterMm',
      minutes: 0.5,
      how: 'Close the caliper over the thread tips, flat jaws across two tips.',
      done: readings.tipDiameterMm !== undefined,
      expect: (each) => [predicted(each).tipDiameterMm, Math.hypot(CALIPER, each.spreadMm)],
    },
    {
      quantity: 'rootDiameterMm',
      minutes: 1,
      how: 'Measure in the bottom of the thread with the knife edges of the caliper.',
      done: readings.rootDiameterMm !== undefined,
      expect: (each) => [
        predicted(each).rootDiameterMm,
        Math.hypot(CALIPER, each.spreadMm, 2 * ROOT_FREEDOM * each.hypothesis.size.moduleMm),
      ],
    },
    {
      quantity: 'leadAngleDeg',
      minutes: 3,
      how: 'Roll the inked worm on paper along a straight edge and measure the angle of the lines.',
      done: readings.leadAngleDeg !== undefined,
      expect: (each) => [predicted(each).leadAngleDeg, INSTRUMENTS.protractor.plusMinus],
    },
  ];
}

/** Mutual information of candidates and reading, the reading on a grid fine enough for its sharpest peak. */
function bitsOf({ expect }: Measure, ranked: readonly Ranked[], noneOfThese: number): number {
  if (ranked.length === 0) return 0;
  const peaks = ranked.map((each) => ({ p: each.probability, at: expect(each) }));
  const low = Math.min(...peaks.map(({ at: [mean, width] }) => mean - 4 * width));
  const high = Math.max(...peaks.map(({ at: [mean, width] }) => mean + 4 * width));
  const finest = Math.min(...peaks.map(({ at: [, width] }) => width));
  const cells = Math.min(1500, Math.max(40, Math.ceil((high - low) / finest)));
  const step = (high - low) / cells;
  const flat = noneOfThese / (high - low);
  let after = 0;
  let mass = 0;
  for (let i = 0; i < cells; i++) {
    const y = low + (i + 0.5) * step;
    const joint = peaks.map(({ p, at: [mean, width] }) => (Math.abs(y - mean) > 5 * width ? 0 : p * normalDensity(y, mean, width)));
    const here = joint.reduce((sum, each) => sum + each, flat);
    if (here <= 0) continue;
    mass += here * step;
    after += here * step * entropyBits(Object.fromEntries([...joint, flat].map((each, j) => [j, each / here])));
  }
  const now = entropyBits(Object.fromEntries([...ranked.map(({ probability }) => probability), noneOfThese].map((p, i) => [i, p])));
  return mass > 0 ? Math.max(0, now - after / mass) : 0;
}
