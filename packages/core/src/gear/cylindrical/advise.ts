import { INSTRUMENTS } from '../../quantity/measured.ts';
import type { NextMeasurement } from '../identifySchema.ts';
import { bestReading, type PossibleReading } from '../bestReading.ts';
import { cutOfHypothesis } from './evidence.ts';
import type { IdentifyInput } from './identifySchema.ts';
import { profileOf, type Profile } from './profile.ts';
import { measurableSpans, spanOver, usualSpanTeeth, type SpanBounds } from './span.ts';
import { type CandidateRank } from './ranked.ts';

type Measure = PossibleReading<CandidateRank>;

const CALIPER = INSTRUMENTS.digitalCaliper.plusMinus;

/** The dimension that tells the candidates apart best for its minutes; null where none is worth taking. */
export function adviseCylindrical(ranked: readonly CandidateRank[], noneOfThese: number, input: IdentifyInput): NextMeasurement {
  const likely = ranked.filter(({ probability }) => probability > 1e-4).slice(0, 60);
  const best = bestReading(measuresLeft(likely, input), likely, noneOfThese);
  // Off slanting teeth a span is only to be had where the gear is wide enough: the width first, which opens it.
  const isSlanting = likely.some(({ hypothesis }) => hypothesis.helixAngleDeg !== 0);
  if (best?.quantity !== 'spanMm' || !isSlanting || input.measurements.faceWidthMm) return best;
  return { quantity: 'faceWidthMm', expectedBits: best.expectedBits, minutes: FACE_MINUTES, how: 'acrossFace' };
}

const FACE_MINUTES = 0.3;

/**
 * In the candidates that carry so much of the belief the jaws have to touch flanks for a span to be advised; where none is left
 * that was not taken, in so much, weighed by the chance that it can be (`bench:identify`: 2.5 % of the spans could not be taken
 * with 0.8 in place of 0.65, and one point less of the gears was right).
 */
const [SURE, LIKELY] = [0.9, 0.65];
/** A span so many teeth from the usual one tells as much of the base pitch as is to be had. */
const MOST_OFF_USUAL = 3;

/** The tips as they were measured, or as drawn; the width where it is known. */
export const spanBounds = ({ tipDiameterMm, faceWidthMm }: IdentifyInput['measurements'], profile: Profile): SpanBounds => ({
  tipDiameterMm: tipDiameterMm?.value ?? profile.tipDiameterMm,
  faceWidthMm: faceWidthMm?.value ?? null,
});

/** In what share of the belief the jaws touch both flanks, by span, with the shift as far off as it may be. */
function touching(likely: readonly CandidateRank[], measurements: IdentifyInput['measurements']): ReadonlyMap<number, number> {
  const shares = new Map<number, number>();
  const whole = likely.reduce((sum, { probability }) => sum + probability, 0);
  for (const { hypothesis, profileShift, shiftSd, thinningMm, probability } of likely) {
    const [low, high] = [-shiftSd, shiftSd].map((off) => {
      const cut = cutOfHypothesis(hypothesis, profileShift + off, thinningMm);
      const profile = profileOf(cut);
      return measurableSpans(cut, profile, spanBounds(measurements, profile));
    }) as [readonly number[], readonly number[]];
    for (const k of low) if (high.includes(k)) shares.set(k, (shares.get(k) ?? 0) + probability / whole);
  }
  return shares;
}

/** Spans to be advised, with the chance that they can be taken: those that are sure, and those that were taken once more; else the surest there are. */
function spansFor(likely: readonly CandidateRank[], measurements: IdentifyInput['measurements'], taken: ReadonlySet<number>) {
  // What the jaws took once they take again.
  const shares = [...touching(likely, measurements)].map(([k, share]) => ({ k, share: taken.has(k) ? 1 : share }));
  const over = (least: number) => shares.filter(({ share }) => share >= least);
  const sure = over(SURE);
  if (sure.some(({ k }) => !taken.has(k))) return sure;
  const surest = Math.max(0, ...shares.map(({ share }) => share));
  return over(Math.min(LIKELY, surest));
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
  const spans = spansFor(likely, measurements, taken).filter(({ k }) => k <= most && Math.abs(k - usual) <= MOST_OFF_USUAL);
  const shared = taken.size > 0 ? 0 : wear.maxThinningMm / 4;
  return [
    ...spans.map(({ k, share }): Measure => ({
      quantity: 'spanMm',
      spanTeeth: k,
      minutes: 0.7,
      // Few spans touch flanks: the same again elsewhere on the rim is a reading too.
      how: taken.has(k) ? 'spanElsewhere' : 'spanOverTeeth',
      over: k,
      chance: share,
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
