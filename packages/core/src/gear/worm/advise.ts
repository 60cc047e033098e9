import type { NextMeasurement } from '../identifySchema.ts';
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
const MOST_CELLS = 1500;

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
  const cells = Math.min(MOST_CELLS, Math.max(40, Math.ceil((high - low) / finest)));
  const step = (high - low) / cells;
  // Density of the reading, and sum of p·log p over who may have caused it: I = H(reading) − H(reading | cause), grid cell by grid cell.
  const density = new Float64Array(cells).fill(noneOfThese / (high - low));
  const plogp = new Float64Array(cells).fill(xlog2x(noneOfThese / (high - low)));
  for (const {
    p,
    at: [mean, width],
  } of peaks) {
    const from = Math.max(0, Math.floor((mean - 5 * width - low) / step));
    const to = Math.min(cells - 1, Math.ceil((mean + 5 * width - low) / step));
    for (let i = from; i <= to; i++) {
      const weight = p * normalDensity(low + (i + 0.5) * step, mean, width);
      density[i] = (density[i] ?? 0) + weight;
      plogp[i] = (plogp[i] ?? 0) + xlog2x(weight);
    }
  }
  let [mass, after] = [0, 0];
  for (let i = 0; i < cells; i++) {
    const here = density[i] ?? 0;
    mass += here * step;
    after += (xlog2x(here) - (plogp[i] ?? 0)) * step;
  }
  const now = -[...ranked.map(({ probability }) => probability), noneOfThese].reduce((sum, p) => sum + xlog2x(p), 0);
  return mass > 0 ? Math.max(0, now - after / mass) : 0;
}

const xlog2x = (x: number) => (x > 0 ? x * Math.log2(x) : 0);
