import { normalDensity } from '../../inference/normal.ts';
import { radians } from '../../quantity/angle.ts';
import { FINEST } from '../../quantity/measured.ts';
import { SHIFTS, type Hypothesis } from './hypotheses.ts';
import type { IdentifyInput } from './identifySchema.ts';
import { overPins } from './overPins.ts';
import { cutOf, profileOf, type Cut } from './profile.ts';
import { spanOver } from './span.ts';
import { readingSd, wornTip } from '../wornTip.ts';

export interface Evidence {
  /** Probability density of the readings, shift and wear integrated out. */
  readonly weight: number;
  /** The shift and thinning that explain the readings best, on the mean. */
  readonly profileShift: number;
  readonly thinningMm: number;
  readonly shiftSd: number;
}

const SHIFT_STEPS = 61;
/** In modules. */
const SHIFT_STEP = (SHIFTS.to - SHIFTS.from) / (SHIFT_STEPS - 1);
const THINNING_STEPS = 9;
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
 * Evidence for one standard gear. The shift is laid on a grid under its prior; thinning too where
 * anything was read that it changes, evenly likely from none to the most; the loss of the tips is
 * integrated in closed form. Wear takes metal off and never puts any on.
 */
export function evidence(hypothesis: Hypothesis, input: IdentifyInput): Evidence {
  const { measurements, wear } = input;
  const thicknessRead = measurements.spans.length + measurements.overPins.length > 0;
  const thinnings = thicknessRead && wear.maxThinningMm > 0 ? THINNING_STEPS : 1;
  let [sum, shift, shift2, thin] = [0, 0, 0, 0];
  for (let i = 0; i < SHIFT_STEPS; i++) {
    const x = SHIFTS.from + SHIFT_STEP * i;
    const byDiameters = Math.exp(-0.5 * (x / SHIFTS.sd) ** 2) * diameters(hypothesis, x, input);
    if (byDiameters < 1e-30) continue;
    for (let j = 0; j < thinnings; j++) {
      const thinning = thinnings === 1 ? 0 : (wear.maxThinningMm * (j + 0.5)) / thinnings;
      const weight = (byDiameters * thicknesses(hypothesis, x, thinning, wear.maxThinningMm / thinnings, input)) / thinnings;
      sum += weight;
      shift += weight * x;
      shift2 += weight * x * x;
      thin += weight * thinning;
    }
  }
  if (sum === 0) return { weight: 0, profileShift: 0, thinningMm: 0, shiftSd: SHIFTS.sd };
  const mean = shift / sum;
  return {
    weight: (sum * SHIFT_STEP) / (SHIFTS.sd * Math.sqrt(2 * Math.PI)),
    profileShift: mean,
    thinningMm: thin / sum,
    shiftSd: Math.sqrt(Math.max((SHIFT_STEP / 2) ** 2, shift2 / sum - mean * mean)),
  };
}

function diameters({ size: { moduleMm: m }, teeth, helixAngleDeg }: Hypothesis, x: number, { measurements, wear }: IdentifyInput): number {
  const pitch = (teeth * m) / Math.cos(radians(helixAngleDeg));
  const { tipDiameterMm: tip, rootDiameterMm: root, centreDistanceMm: centre } = measurements;
  let p = 1;
  // A grid step of the shift moves the tips by so much: readings sharper than that are readingSd to it.
  const gridSd = (m * SHIFT_STEP) / 2;
  if (tip) p *= wornTip(tip.value, pitch + 2 * m * (1 + x), readingSd(tip.plusMinus, gridSd), wear.maxTipLossMm);
  if (root) p *= normalDensity(root.value, pitch - 2 * m * (1.25 - x), readingSd(root.plusMinus, Math.hypot(2 * ROOT_SD * m, gridSd)));
  if (centre) {
    const distance = (m * (teeth + centre.mateTeeth)) / (2 * Math.cos(radians(helixAngleDeg))) + m * x;
    p *= normalDensity(centre.distanceMm.value, distance, readingSd(centre.distanceMm.plusMinus, CENTRE_SD * m));
  }
  return p;
}

/** Spans and pins at this shift and thinning; a grid step of the thinning blurs them. */
function thicknesses(hypothesis: Hypothesis, x: number, thinning: number, stepMm: number, { measurements }: IdentifyInput): number {
  if (measurements.spans.length === 0 && measurements.overPins.length === 0) return 1;
  const cut = cutOfHypothesis(hypothesis, x, thinning);
  const profile = profileOf(cut);
  // What the grid leaves out is common to all spans: it blurs their level once, and their differences not at all.
  const gridSd = Math.hypot(stepMm / 4, (0.7 * hypothesis.size.moduleMm * SHIFT_STEP) / 4);
  const errors = measurements.spans.map(({ teeth, spanMm }) => ({
    off: spanMm.value - spanOver(teeth, cut, profile),
    sd: readingSd(spanMm.plusMinus),
  }));
  let p = withCommonSd(errors, gridSd);
  for (const { pinDiameterMm, overPinsMm } of measurements.overPins) {
    const over = overPins(pinDiameterMm, cut, profile);
    p *= over === null ? 0 : normalDensity(overPinsMm.value, over, readingSd(overPinsMm.plusMinus, 2 * gridSd));
  }
  return p;
}

/** Density of errors that share one small error on top of their own (a normal with a rank-one covariance, Woodbury). */
function withCommonSd(errors: readonly { readonly off: number; readonly sd: number }[], gridSd: number): number {
  if (errors.length === 0) return 1;
  let [precision, pull, square, logDet] = [0, 0, 0, 0];
  for (const { off, sd: own } of errors) {
    const w = 1 / (own * own);
    precision += w;
    pull += w * off;
    square += w * off * off;
    logDet += Math.log(own * own);
  }
  const common = 1 / (gridSd * gridSd) + precision;
  const chi2 = square - (pull * pull) / common;
  return Math.exp(-0.5 * (chi2 + logDet + Math.log(1 + gridSd * gridSd * precision) + errors.length * Math.log(2 * Math.PI)));
}

/** The same readings on something that follows no standard: spread over all sizes a small shop sees. */
export function noneOfTheseEvidence({ measurements }: IdentifyInput): number {
  const logUniform = (value: number, widest: number) => 1 / (value * Math.log(widest));
  const { tipDiameterMm, rootDiameterMm, spans, overPins: pins, centreDistanceMm } = measurements;
  let weight = 1;
  if (tipDiameterMm) weight *= logUniform(tipDiameterMm.value, 100);
  if (rootDiameterMm)
    weight *= tipDiameterMm
      ? logUniform(Math.max(0.1, tipDiameterMm.value - rootDiameterMm.value), 64)
      : logUniform(rootDiameterMm.value, 100);
  // One pitch and one level are free; every further span follows from them.
  spans.forEach(({ spanMm }, i) => (weight *= i < 2 ? logUniform(spanMm.value, 20) : 1 / (6 * Math.max(spanMm.plusMinus, FINEST))));
  pins.forEach(({ overPinsMm }) => (weight *= logUniform(overPinsMm.value, 20)));
  if (centreDistanceMm) weight *= logUniform(centreDistanceMm.distanceMm.value, 100);
  return weight;
}
