import { fail } from '../../failure/CoreFailure.ts';
import { NONE_OF_THESE_PRIOR } from '../identifySchema.ts';
import { adviseCylindrical } from './advise.ts';
import { cutOfHypothesis, evidence, noneOfTheseEvidence } from './evidence.ts';
import { hypothesesOf } from './hypotheses.ts';
import type { Candidate, Identification, IdentifyInput } from './identifySchema.ts';
import { overPins } from './overPins.ts';
import { profileOf } from './profile.ts';
import { spanOver, usualSpanTeeth } from './span.ts';
import { type Ranked } from './ranked.ts';

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
export function identifyCylindrical(input: IdentifyInput): Identification {
  check(input);
  const found = hypothesesOf(input).map((hypothesis) => ({ hypothesis, ...evidence(hypothesis, input) }));
  const none = NONE_OF_THESE_PRIOR * noneOfTheseEvidence(input);
  const weighed = found.map((each) => ({ ...each, weight: each.weight * each.hypothesis.share * (1 - NONE_OF_THESE_PRIOR) }));
  const total = weighed.reduce((sum, { weight }) => sum + weight, none);
  const one = bestHelixEach(weighed)
    .filter(({ weight }) => weight / total > NEGLIGIBLE)
    .sort((p, q) => q.weight - p.weight);
  const kept = one.reduce((sum, { weight }) => sum + weight, none);
  const ranked = one.map((each): Ranked => ({ ...each, probability: each.weight / kept }));
  return {
    candidates: ranked.map((each) => candidateOf(each, input)),
    noneOfTheseProbability: none / kept,
    nextMeasurement: adviseCylindrical(ranked, none / kept, input),
  };
}

type Weighed = Omit<Ranked, 'probability'> & { readonly weight: number };

/** Helix angles are steps of one reading, not gears of their own: their weights add up under the likeliest. */
function bestHelixEach(list: readonly Weighed[]): Weighed[] {
  const byGear = new Map<string, Weighed>();
  for (const each of list) {
    const { size, teeth, pressureAngleDeg, helixAngleDeg } = each.hypothesis;
    const key = `${size.system}/${size.size}/${teeth}/${pressureAngleDeg}/${helixAngleDeg === 0}`;
    const held = byGear.get(key);
    const better = held && held.weight >= each.weight ? held : each;
    byGear.set(key, { ...better, weight: each.weight + (held?.weight ?? 0) });
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

function candidateOf({ hypothesis, probability, profileShift, thinningMm }: Ranked, { measurements }: IdentifyInput): Candidate {
  const cut = cutOfHypothesis(hypothesis, profileShift, thinningMm);
  const profile = profileOf(cut);
  const counts = [...new Set([usualSpanTeeth(cut, profile), ...measurements.spans.map(({ teeth }) => teeth)])];
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
