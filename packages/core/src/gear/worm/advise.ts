import type { NextMeasurement } from '../identifySchema.ts';
import { INSTRUMENTS } from '../../quantity/measured.ts';
import { readingInformation } from '../readingInformation.ts';
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

const bitsOf = ({ expect }: Measure, ranked: readonly Ranked[], noneOfThese: number): number =>
  readingInformation(
    ranked.map((each) => {
      const [mean, sd] = expect(each);
      return { probability: each.probability, mean, sd };
    }),
    noneOfThese,
  );
