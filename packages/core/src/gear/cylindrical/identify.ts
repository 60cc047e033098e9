import { fail } from '../../failure/CoreFailure.ts';
import { NONE_OF_THESE_PRIOR } from '../identifySchema.ts';
import { adviseCylindrical, spanBounds } from './advise.ts';
import { logSum } from '../../inference/integrate.ts';
import { rankedByEvidence } from '../rankedByEvidence.ts';
import { mergedReading } from '../mergedReadings.ts';
import { readingSd } from '../worn.ts';
import { cutOfHypothesis, evidence, noneOfTheseEvidence, thicknessOf } from './evidence.ts';
import { hypothesesOf } from './hypotheses.ts';
import type { Candidate, Identification, IdentifyInput } from './identifySchema.ts';
import { overPins } from './overPins.ts';
import { profileOf } from './profile.ts';
import { measurableSpans, spanOver, usualSpanTeeth } from './span.ts';
import { type CandidateRank } from './ranked.ts';

/** Candidates less likely than this are dropped, and the rest shared out again. */
const NEGLIGIBLE = 1e-6;

/**
 * Which standard spur or helical gear was this? Ranks modules and diametral pitches with their pressure
 * angle (and tooth count, where only a piece of the rim is left) from any subset of readings. The
 * profile shift is a continuous unknown; wear thins teeth and lowers tips, never the reverse. Lengths
 * mm, angles degrees, ± one standard deviation. A helix that was not measured is taken for none.
 * Bayes' rule with shift and wear integrated out; "none of these" is kept.
 *
 * Sources: ISO 54, DIN 780-2, AGMA (sizes); ISO 53 (profile); ISO 21771 (geometry).
 * @throws CoreFailure where neither teeth nor a piece of the rim were counted, nothing was measured, or
 * the readings contradict each other
 * @example 25 teeth, tips 26.95, spans over 3 and 4 teeth 7.70 and 10.65 → module 1, 20°
 */
export function identifyCylindrical(given: IdentifyInput): Identification {
  check(given);
  const input = merged(given);
  const none = Math.log(NONE_OF_THESE_PRIOR) + noneOfTheseEvidence(input);
  const { ranked, noneOfTheseProbability } = rankedByEvidence(bestHelixEach(likeliest(input, none)), none, NEGLIGIBLE);
  return {
    candidates: ranked.map((each) => candidateOf(each, input)),
    noneOfTheseProbability,
    nextMeasurement: adviseCylindrical(ranked, noneOfTheseProbability, input),
  };
}

type CandidateWeight = Omit<CandidateRank, 'probability'> & { readonly log: number };

/**
 * Every standard gear with its evidence, those apart that cannot reach a millionth of the best: how well the
 * readings of the tooth's thickness agree among themselves bounds what the others can make of it, and is had at once.
 */
function likeliest(input: IdentifyInput, none: number): readonly CandidateWeight[] {
  const bounded = hypothesesOf(input).flatMap((hypothesis) => {
    const thickness = thicknessOf(hypothesis, input);
    if (thickness === 'impossible') return [];
    const share = Math.log(hypothesis.share * (1 - NONE_OF_THESE_PRIOR));
    return [{ hypothesis, thickness, share, bound: share + (thickness?.agreement ?? 0) - Math.log(thickness?.sd ?? 1) }];
  });
  bounded.sort((p, q) => q.bound - p.bound);
  const found: CandidateWeight[] = [];
  let best = none;
  // What the tips, the roots and the distance can add at most, to whichever gear it was.
  const most = mostOfDiameters(input);
  for (const { hypothesis, thickness, share, bound } of bounded) {
    if (bound + most < best + Math.log(NEGLIGIBLE)) break;
    const each = evidence(hypothesis, thickness, input);
    if (!each) continue;
    found.push({ hypothesis, ...each, log: each.log + share });
    best = Math.max(best, each.log + share);
  }
  return found;
}

/** No density is higher than that of a reading without error beside its own ±. */
function mostOfDiameters({ measurements: { tipDiameterMm, rootDiameterMm, centreDistanceMm } }: IdentifyInput): number {
  const read = [tipDiameterMm, rootDiameterMm, centreDistanceMm?.distanceMm];
  return read.reduce((sum, each) => sum - (each ? Math.log(readingSd(each.plusMinus)) : 0), 0);
}

/** Readings of the same span or over the same pins as one each. */
function merged(input: IdentifyInput): IdentifyInput {
  const { spans, overPins: pins } = input.measurements;
  const by = <T>(list: readonly T[], key: (each: T) => number) =>
    [...new Set(list.map(key))].map((k) => list.filter((each) => key(each) === k));
  return {
    ...input,
    measurements: {
      ...input.measurements,
      spans: by(spans, ({ teeth }) => teeth).map((list) => ({
        teeth: list[0]?.teeth ?? 0,
        spanMm: mergedReading(list.map((each) => each.spanMm)),
      })),
      overPins: by(pins, ({ pinDiameterMm }) => pinDiameterMm).map((list) => ({
        pinDiameterMm: list[0]?.pinDiameterMm ?? 0,
        overPinsMm: mergedReading(list.map((each) => each.overPinsMm)),
      })),
    },
  };
}

/** Helix angles are steps of one reading, not gears of their own: their chances add up under the likeliest. */
function bestHelixEach(list: readonly CandidateWeight[]): CandidateWeight[] {
  const byGear = new Map<string, CandidateWeight>();
  for (const candidate of list) {
    const { size, teeth, pressureAngleDeg, helixAngleDeg } = candidate.hypothesis;
    const key = `${size.system}/${size.size}/${teeth}/${pressureAngleDeg}/${helixAngleDeg === 0}`;
    const held = byGear.get(key);
    const better = held && held.log >= candidate.log ? held : candidate;
    byGear.set(key, { ...better, log: held ? logSum([candidate.log, held.log]) : candidate.log });
  }
  return [...byGear.values()];
}

function check({ teeth, measurements }: IdentifyInput): void {
  const { tipDiameterMm: tip, rootDiameterMm: root, spans, overPins: pins, centreDistanceMm } = measurements;
  if (!tip && !root && spans.length === 0 && pins.length === 0 && !centreDistanceMm) {
    throw fail('nothingGiven', 'measurements', { reason: 'measureGearFirst' });
  }
  if (tip && root && root.value >= tip.value) {
    throw fail('contradiction', 'measurements.rootDiameterMm', { reason: 'rootAsThickAsTips' });
  }
  spans.forEach((span, i) => {
    if (teeth !== undefined && span.teeth >= teeth) {
      throw fail('outOfRange', `measurements.spans.${i}.teeth`, { minimum: 1, maximum: teeth - 1, given: span.teeth });
    }
    const shorter = spans.find((each) => each.teeth < span.teeth && each.spanMm.value >= span.spanMm.value);
    if (shorter) {
      throw fail('contradiction', `measurements.spans.${i}.spanMm`, {
        reason: 'longerSpanLess',
        teeth: span.teeth,
        fewer: shorter.teeth,
      });
    }
  });
}

function candidateOf({ hypothesis, probability, profileShift, thinningMm }: CandidateRank, { measurements }: IdentifyInput): Candidate {
  const cut = cutOfHypothesis(hypothesis, profileShift, thinningMm);
  const profile = profileOf(cut);
  const [advised] = measurableSpans(cut, profile, spanBounds(measurements, profile));
  const counts = [...new Set([advised ?? usualSpanTeeth(cut, profile), ...measurements.spans.map(({ teeth }) => teeth)])];
  const spans = counts.map((teeth) => {
    const predictedMm = spanOver(teeth, cut, profile);
    const read = measurements.spans.findLast((each) => each.teeth === teeth)?.spanMm.value;
    return { teeth, predictedMm, ...(read !== undefined && { residualMm: read - predictedMm }) };
  });
  const predicted: Record<string, number> = {
    tipDiameterMm: profile.tipDiameterMm,
    rootDiameterMm: profile.rootDiameterMm,
    pitchDiameterMm: profile.pitchDiameterMm,
    ...Object.fromEntries(spans.map(({ teeth, predictedMm }) => [`spanOver${teeth}Mm`, predictedMm])),
  };
  const { tipDiameterMm: tip, rootDiameterMm: root } = measurements;
  return {
    system: hypothesis.size.system,
    size: hypothesis.size.size,
    normalModuleMm: hypothesis.size.moduleMm,
    teeth: hypothesis.teeth,
    pressureAngleDeg: hypothesis.pressureAngleDeg,
    helixAngleDeg: hypothesis.helixAngleDeg,
    profileShift,
    toothThinningMm: thinningMm,
    probability,
    predicted,
    spans,
    residuals: {
      ...(tip && { tipDiameterMm: tip.value - profile.tipDiameterMm }),
      ...(root && { rootDiameterMm: root.value - profile.rootDiameterMm }),
      ...Object.fromEntries(
        spans.flatMap(({ teeth, residualMm }) => (residualMm === undefined ? [] : [[`spanOver${teeth}Mm`, residualMm] as const])),
      ),
      ...Object.fromEntries(
        measurements.overPins.flatMap(({ pinDiameterMm, overPinsMm }) => {
          const over = overPins(pinDiameterMm, cut, profile);
          return over === null ? [] : [[`overPins${pinDiameterMm}Mm`, overPinsMm.value - over]];
        }),
      ),
    },
  };
}
