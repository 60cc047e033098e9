import { INSTRUMENTS } from '../../quantity/measured.ts';
import type { NextMeasurement } from '../identifySchema.ts';
import { bestReading, type PossibleReading } from '../bestReading.ts';
import { cutOfHypothesis } from './evidence.ts';
import type { IdentifyInput } from './identifySchema.ts';
import { profileOf } from './profile.ts';
import { spanOver, usualSpanTeeth } from './span.ts';
import { type CandidateRank } from './ranked.ts';

type Measure = PossibleReading<CandidateRank>;

const CALIPER = INSTRUMENTS.digitalCaliper.plusMinus;

/** The dimension that tells the candidates apart best for its minutes; null where none is worth taking. */
export function adviseCylindrical(ranked: readonly CandidateRank[], noneOfThese: number, input: IdentifyInput): NextMeasurement {
  const likely = ranked.filter(({ probability }) => probability > 1e-4).slice(0, 60);
  return bestReading(measuresLeft(likely, input), likely, noneOfThese);
}

function measuresLeft(likely: readonly CandidateRank[], { teeth, teethOverArc, measurements, wear }: IdentifyInput): readonly Measure[] {
  const [first] = likely;
  if (!first) return [];
  const usual = usualSpan(first);
  const taken = new Set(measurements.spans.map(({ teeth }) => teeth));
  // Of a broken wheel only the teeth of the piece can be spanned, and nothing lies opposite them.
  const piece = teeth === undefined ? teethOverArc : undefined;
  const most = piece ? piece.teeth + 1 : Infinity;
  const diameters = !piece || piece.arcDeg.value > 200;
  // Two spans far apart give the base pitch; the farther, the sharper.
  const spans = [usual, usual + 3, usual + 2, usual - 1, usual + 1, usual - 2].filter(
    (k) => !taken.has(k) && k > 0 && k <= most && likely.every(({ hypothesis }) => k < hypothesis.teeth),
  );
  const shared = taken.size > 0 ? 0 : wear.maxThinningMm / 4;
  return [
    ...[...new Set(spans)].map((k): Measure => ({
      quantity: 'spanMm',
      spanTeeth: k,
      minutes: 0.7,
      how: 'spanOverTeeth',
      over: k,
      expect: (candidate) => [
        spanOf(candidate, k),
        Math.hypot(CALIPER, shared, 0.7 * candidate.shiftSd * candidate.hypothesis.size.moduleMm * (taken.size > 0 ? 0.1 : 1)),
      ],
    })),
    ...(measurements.tipDiameterMm || !diameters
      ? []
      : [
          {
            quantity: 'tipDiameterMm',
            minutes: 0.5,
            how: 'overTips' as const,
            expect: (candidate: CandidateRank) =>
              [
                profileOfRanked(candidate).tipDiameterMm,
                Math.hypot(CALIPER, wear.maxTipLossMm / 4, 2 * candidate.shiftSd * candidate.hypothesis.size.moduleMm),
              ] as const,
          },
        ]),
    ...(measurements.rootDiameterMm || !diameters
      ? []
      : [
          {
            quantity: 'rootDiameterMm',
            minutes: 1,
            how: 'inOppositeSpaces' as const,
            expect: (candidate: CandidateRank) =>
              [
                profileOfRanked(candidate).rootDiameterMm,
                Math.hypot(CALIPER, 0.1 * candidate.hypothesis.size.moduleMm, 2 * candidate.shiftSd * candidate.hypothesis.size.moduleMm),
              ] as const,
          },
        ]),
  ];
}

const profileOfRanked = ({ hypothesis, profileShift, thinningMm }: CandidateRank) =>
  profileOf(cutOfHypothesis(hypothesis, profileShift, thinningMm));

function spanOf({ hypothesis, profileShift, thinningMm }: CandidateRank, k: number): number {
  const cut = cutOfHypothesis(hypothesis, profileShift, thinningMm);
  return spanOver(k, cut, profileOf(cut));
}

function usualSpan({ hypothesis, profileShift, thinningMm }: CandidateRank): number {
  const cut = cutOfHypothesis(hypothesis, profileShift, thinningMm);
  return usualSpanTeeth(cut, profileOf(cut));
}
