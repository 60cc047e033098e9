import type { NextMeasurement } from '../identifySchema.ts';
import { INSTRUMENTS } from '../../quantity/measured.ts';
import { bestReading, type PossibleReading } from '../bestReading.ts';
import { predictWorm } from './predict.ts';
import { ROOT_SD, type WormHypothesis, type WormReadings } from './hypothesis.ts';

interface WormCandidate {
  readonly hypothesis: WormHypothesis;
  readonly probability: number;
  readonly pitchDiameterMm: number;
  readonly pitchDiameterSdMm: number;
}

interface Measure extends PossibleReading<WormCandidate> {
  readonly done: boolean;
}

const PITCHES = 4;
const CALIPER = INSTRUMENTS.digitalCaliper.plusMinus;

/** The dimension that tells the candidates apart best for its minutes; null where none is worth taking. */
export function adviseWorm(
  ranked: readonly WormCandidate[],
  noneOfThese: number,
  readings: WormReadings,
  starts: number | undefined,
): NextMeasurement {
  const likely = ranked.filter(({ probability }) => probability > 1e-5);
  const open = measures(readings, starts).filter(({ done }) => !done);
  return bestReading(open, likely, noneOfThese);
}

function measures(readings: WormReadings, starts: number | undefined): readonly Measure[] {
  const predicted = ({ hypothesis: { size, starts: n }, pitchDiameterMm }: WormCandidate) => predictWorm(size.moduleMm, n, pitchDiameterMm);
  return [
    {
      quantity: 'starts',
      minutes: 0.5,
      how: 'countStarts',
      done: starts !== undefined,
      expect: ({ hypothesis }) => [hypothesis.starts, 0.05],
    },
    {
      quantity: 'axialPitch',
      minutes: 1,
      how: 'alongWorm',
      over: PITCHES,
      done: readings.axialPitch !== undefined,
      expect: (each) => [PITCHES * predicted(each).axialPitchMm, CALIPER],
    },
    {
      quantity: 'tipDiameterMm',
      minutes: 0.5,
      how: 'overThreadTips',
      done: readings.tipDiameterMm !== undefined,
      expect: (each) => [predicted(each).tipDiameterMm, Math.hypot(CALIPER, each.pitchDiameterSdMm)],
    },
    {
      quantity: 'rootDiameterMm',
      minutes: 1,
      how: 'inThread',
      done: readings.rootDiameterMm !== undefined,
      expect: (candidate) => [
        predicted(candidate).rootDiameterMm,
        Math.hypot(CALIPER, candidate.pitchDiameterSdMm, 2 * ROOT_SD * candidate.hypothesis.size.moduleMm),
      ],
    },
    {
      quantity: 'leadAngleDeg',
      minutes: 3,
      how: 'rollWorm',
      done: readings.leadAngleDeg !== undefined,
      expect: (each) => [predicted(each).leadAngleDeg, INSTRUMENTS.protractor.plusMinus],
    },
  ];
}
