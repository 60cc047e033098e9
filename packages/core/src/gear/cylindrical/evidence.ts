import { logNormalDensity, normalDensity, normalBelow } from '../../inference/normal.ts';
import { radians } from '../../quantity/angle.ts';
import { combine, FINEST, type Measurement } from '../../quantity/measured.ts';
import { shiftEvidence, type ShiftedReading } from '../shiftEvidence.ts';
import { CYLINDRICAL_SHIFTS } from '../priors.ts';
import { readingSd } from '../worn.ts';
import type { Hypothesis } from './hypotheses.ts';
import type { IdentifyInput } from './identifySchema.ts';
import { thinningFromPins } from './overPins.ts';
import { cutOf, profileOf, type Cut } from './profile.ts';
import { spanOver } from './span.ts';

/** What the readings say of one standard gear. */
export interface Evidence {
  /** Natural logarithm of the density of the readings, shift and wear integrated out. */
  readonly log: number;
  /** The shift and thinning that explain the readings best, on the mean. */
  readonly profileShift: number;
  readonly thinningMm: number;
  readonly shiftSd: number;
}

/** Makers cut roots between 1.2 and 1.25 modules deep; centre distances leave room for the mate's shift. Standard deviations in modules. */
const ROOT_SD = 0.05;
const CENTRE_SD = 0.25;

export const cutOfHypothesis = (
  { size, teeth, pressureAngleDeg, helixAngleDeg }: Hypothesis,
  profileShift: number,
  toothThinningMm: number,
): Cut =>
  cutOf({
    teeth,
    normalModuleMm: size.moduleMm,
    pressureAngleDeg,
    helixAngleDeg,
    profileShift,
    addendumCoefficient: 1,
    dedendumCoefficient: 1.25,
    toothThinningMm,
  });

/**
 * How much thicker the readings make the teeth than those of the unshifted, unworn gear, as a difference of
 * spans in mm. Every span and every measure over pins is a reading of this one quantity, t = 2x·m·sin α − A·cos α,
 * so that together they are one normal reading of it, and how well they agree among themselves.
 */
export interface Thickness {
  readonly t: number;
  readonly sd: number;
  /** Logarithm of the density of the readings about their common mean. */
  readonly agreement: number;
}

/** Null where nothing was read of it; `impossible` where no such gear gives the reading at all. */
export function thicknessOf(hypothesis: Hypothesis, { measurements }: IdentifyInput): Thickness | null | 'impossible' {
  const { spans, overPins } = measurements;
  if (spans.length + overPins.length === 0) return null;
  const cut = cutOfHypothesis(hypothesis, 0, 0);
  const profile = profileOf(cut);
  const cosine = Math.cos(cut.pressureAngle);
  const readings: Measurement[] = spans.map(({ teeth, spanMm }) => ({
    value: spanMm.value - spanOver(teeth, cut, profile),
    plusMinus: readingSd(spanMm.plusMinus),
  }));
  for (const { pinDiameterMm, overPinsMm } of overPins) {
    const at = (over: number) => thinningFromPins(pinDiameterMm, over, cut, profile);
    const [thinning, more] = [at(overPinsMm.value), at(overPinsMm.value + PIN_STEP)];
    if (thinning === null || more === null) return 'impossible';
    readings.push({
      value: -thinning * cosine,
      plusMinus: (readingSd(overPinsMm.plusMinus) * Math.abs(more - thinning) * cosine) / PIN_STEP,
    });
  }
  const { value: t, plusMinus: sd } = combine(readings);
  const apart = readings.reduce((sum, each) => sum + logNormalDensity(each.value, t, each.plusMinus), 0);
  return { t, sd, agreement: apart - logNormalDensity(t, t, sd) };
}

/** In mm: over so little a measure over pins is straight. */
const PIN_STEP = 1e-3;

/**
 * Evidence for one standard gear. The shift is integrated under its prior, as finely as the readings are
 * sharp; thinning and the loss of the tips in closed form, evenly likely from none to the most. Wear takes
 * metal off and never puts any on. Null where no shift explains the readings.
 */
export function evidence(hypothesis: Hypothesis, thickness: Thickness | null, { measurements, wear }: IdentifyInput): Evidence | null {
  const { moduleMm: m } = hypothesis.size;
  const cosHelix = Math.cos(radians(hypothesis.helixAngleDeg));
  const pitch = (hypothesis.teeth * m) / cosHelix;
  const angle = radians(hypothesis.pressureAngleDeg);
  const { tipDiameterMm: tip, rootDiameterMm: root, centreDistanceMm: centre } = measurements;
  const terms: ShiftedReading[] = [];
  if (tip) terms.push({ read: tip.value, sd: readingSd(tip.plusMinus), at: pitch + 2 * m, slope: 2 * m, loss: wear.maxTipLossMm });
  if (root) {
    terms.push({ read: root.value, sd: readingSd(root.plusMinus, 2 * ROOT_SD * m), at: pitch - 2.5 * m, slope: 2 * m, loss: 0 });
  }
  if (centre) {
    const at = (m * (hypothesis.teeth + centre.mateTeeth)) / (2 * cosHelix);
    terms.push({ read: centre.distanceMm.value, sd: readingSd(centre.distanceMm.plusMinus, CENTRE_SD * m), at, slope: m, loss: 0 });
  }
  const mostThinner = wear.maxThinningMm * Math.cos(angle);
  const slope = 2 * m * Math.sin(angle);
  if (thickness) terms.push({ read: thickness.t, sd: thickness.sd, at: 0, slope, loss: mostThinner });
  const found = shiftEvidence(terms, CYLINDRICAL_SHIFTS);
  if (!found) return null;
  return {
    log: found.log + (thickness?.agreement ?? 0),
    profileShift: found.mean,
    shiftSd: found.sd,
    thinningMm: thickness
      ? within((slope * found.mean - thickness.t) / Math.cos(angle), thickness.sd / Math.cos(angle), wear.maxThinningMm)
      : 0,
  };
}

/** Mean of a normal reading of something that lies between none and the most. */
function within(mean: number, sd: number, most: number): number {
  const share = normalBelow(most, mean, sd) - normalBelow(0, mean, sd);
  const inside = share > 1e-6 ? mean + (sd * sd * (normalDensity(0, mean, sd) - normalDensity(most, mean, sd))) / share : mean;
  return Math.min(most, Math.max(0, inside));
}

/** Logarithm of the density of the same readings on something that follows no standard: spread over all sizes a small shop sees. */
export function noneOfTheseEvidence({ measurements }: IdentifyInput): number {
  const logUniform = (value: number, widest: number) => -Math.log(value * Math.log(widest));
  const { tipDiameterMm, rootDiameterMm, spans, overPins: pins, centreDistanceMm } = measurements;
  let log = 0;
  if (tipDiameterMm) log += logUniform(tipDiameterMm.value, 100);
  if (rootDiameterMm)
    log += tipDiameterMm
      ? logUniform(Math.max(0.1, tipDiameterMm.value - rootDiameterMm.value), 64)
      : logUniform(rootDiameterMm.value, 100);
  // One pitch and one level are free; every further span follows from them.
  spans.forEach(({ spanMm }, i) => (log += i < 2 ? logUniform(spanMm.value, 20) : -Math.log(6 * Math.max(spanMm.plusMinus, FINEST))));
  pins.forEach(({ overPinsMm }) => (log += logUniform(overPinsMm.value, 20)));
  if (centreDistanceMm) log += logUniform(centreDistanceMm.distanceMm.value, 100);
  return log;
}
