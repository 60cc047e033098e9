import { integrateLog } from '../../inference/integrate.ts';
import { logNormalDensity } from '../../inference/normal.ts';
import type { Measurement } from '../../quantity/measured.ts';
import { degrees, radians } from '../../quantity/angle.ts';
import { WORM_DEDENDUM } from './dimensions.ts';
import { CENTRE_SD, QUOTIENT_RANGE, ROOT_SD, type WormHypothesis, type WormReadings } from './hypothesis.ts';
import { WINDOW_SIGMAS } from '../shiftEvidence.ts';
import { logWorn, readingSd } from '../worn.ts';

export interface Evidence {
  /** Natural logarithm of the density of the readings under the hypothesis, pitch diameter integrated out. */
  readonly log: number;
  readonly pitchDiameterMm: number;
  readonly pitchDiameterSdMm: number;
}

/** Evidence for one size and number of starts, and the pitch diameter that explains the readings best; null where none does. */
export function evidence(hypothesis: WormHypothesis, readings: WormReadings, maxTipLossMm: number): Evidence | null {
  const logRange = Math.log(QUOTIENT_RANGE[1] / QUOTIENT_RANGE[0]);
  const found = integrateLog(
    (d) => logLikelihood(d, hypothesis, readings, maxTipLossMm) - Math.log(d * logRange),
    windowOf(hypothesis, readings, maxTipLossMm),
  );
  return found && { log: found.log, pitchDiameterMm: found.mean, pitchDiameterSdMm: found.sd };
}

/** Logarithm of the density of the same readings on something that follows no standard: spread over all sizes a small shop sees. */
export function noneOfTheseEvidence({ tipDiameterMm, rootDiameterMm, axialPitch, leadAngleDeg, centreDistanceMm }: WormReadings): number {
  const logUniform = (value: number, widest: number) => -Math.log(value * Math.log(widest));
  let log = 0;
  if (tipDiameterMm) log += logUniform(tipDiameterMm.value, 100);
  // With the tips known it is the depth of the thread that is free, not the root on its own.
  if (rootDiameterMm)
    log += tipDiameterMm ? logUniform(tipDiameterMm.value - rootDiameterMm.value, 64) : logUniform(rootDiameterMm.value, 100);
  if (axialPitch) log += logUniform(axialPitch.lengthMm.value, 64);
  if (leadAngleDeg) log -= Math.log(45);
  if (centreDistanceMm) log += logUniform(centreDistanceMm.distanceMm.value, 100);
  return log;
}

function logLikelihood(d: number, { size: { moduleMm: m }, starts }: WormHypothesis, readings: WormReadings, maxTipLossMm: number): number {
  const { tipDiameterMm, rootDiameterMm, axialPitch, leadAngleDeg, centreDistanceMm } = readings;
  const normal = (read: Measurement, mean: number, makerSd = 0) => logNormalDensity(read.value, mean, readingSd(read.plusMinus, makerSd));
  let log = 0;
  if (tipDiameterMm) log += logWorn(tipDiameterMm.value, d + 2 * m, readingSd(tipDiameterMm.plusMinus), maxTipLossMm);
  if (rootDiameterMm) log += normal(rootDiameterMm, d - 2 * WORM_DEDENDUM * m, 2 * ROOT_SD * m);
  if (axialPitch) log += normal(axialPitch.lengthMm, Math.PI * m * axialPitch.threads);
  if (leadAngleDeg) log += normal(leadAngleDeg, degrees(Math.atan((m * starts) / d)));
  if (centreDistanceMm) log += normal(centreDistanceMm.distanceMm, (d + m * centreDistanceMm.wheelTeeth) / 2, CENTRE_SD * m);
  return log;
}

/** Where the pitch diameter can lie by every reading there is, and within what worms are made. */
function windowOf(
  { size: { moduleMm: m }, starts }: WormHypothesis,
  readings: WormReadings,
  maxTipLossMm: number,
): readonly [number, number] {
  const { tipDiameterMm: tip, rootDiameterMm: root, centreDistanceMm: centre, leadAngleDeg: lead } = readings;
  const windows: (readonly [number, number])[] = [[QUOTIENT_RANGE[0] * m, QUOTIENT_RANGE[1] * m]];
  const about = (at: number, sd: number, loss = 0) => windows.push([at - WINDOW_SIGMAS * sd, at + loss + WINDOW_SIGMAS * sd]);
  if (tip) about(tip.value - 2 * m, readingSd(tip.plusMinus), maxTipLossMm);
  if (root) about(root.value + 2 * WORM_DEDENDUM * m, readingSd(root.plusMinus, 2 * ROOT_SD * m));
  if (centre) about(2 * centre.distanceMm.value - m * centre.wheelTeeth, 2 * readingSd(centre.distanceMm.plusMinus, CENTRE_SD * m));
  if (lead) {
    const half = WINDOW_SIGMAS * readingSd(lead.plusMinus);
    const at = (angleDeg: number) => (m * starts) / Math.tan(radians(Math.min(89.9, Math.max(0.01, angleDeg))));
    windows.push([at(lead.value + half), at(lead.value - half)]);
  }
  return [Math.max(...windows.map(([low]) => low)), Math.min(...windows.map(([, high]) => high))];
}
