import { normalDensity } from '../../inference/normal.ts';
import { degrees } from '../../quantity/angle.ts';
import { WORM_DEDENDUM } from './dimensions.ts';
import { CENTRE_SD, QUOTIENT_RANGE, ROOT_SD, type WormHypothesis, type WormReadings } from './hypothesis.ts';
import { readingSd, wornTip } from '../wornTip.ts';

export interface Evidence {
  /** Probability density of the readings under the hypothesis, pitch diameter integrated out. */
  readonly weight: number;
  readonly pitchDiameterMm: number;
  readonly pitchDiameterSdMm: number;
}

const GRID = 161;

/** Evidence for one size and number of starts, and the pitch diameter that explains the readings best. */
export function evidence({ size, starts }: WormHypothesis, readings: WormReadings, maxTipLossMm: number): Evidence {
  const m = size.moduleMm;
  const [low, high] = window(m, readings, maxTipLossMm);
  const least = Math.max(low, QUOTIENT_RANGE[0] * m);
  const most = Math.min(high, QUOTIENT_RANGE[1] * m);
  if (!(most > least)) return { weight: 0, pitchDiameterMm: (low + high) / 2 > 0 ? (low + high) / 2 : m, pitchDiameterSdMm: 0 };
  const step = (most - least) / (GRID - 1);
  const logRange = Math.log(QUOTIENT_RANGE[1] / QUOTIENT_RANGE[0]);
  let [sum, first, second] = [0, 0, 0];
  for (let i = 0; i < GRID; i++) {
    const d = least + i * step;
    const weight = likelihood(d, m, starts, readings, maxTipLossMm) / (d * logRange);
    sum += weight;
    first += weight * d;
    second += weight * d * d;
  }
  if (sum === 0) return { weight: 0, pitchDiameterMm: (least + most) / 2, pitchDiameterSdMm: 0 };
  const mean = first / sum;
  return { weight: sum * step, pitchDiameterMm: mean, pitchDiameterSdMm: Math.sqrt(Math.max(0, second / sum - mean * mean)) };
}

/** The same readings on something that follows no standard: spread over all sizes a small shop sees. */
export function noneOfTheseEvidence({ tipDiameterMm, rootDiameterMm, axialPitch, leadAngleDeg, centreDistanceMm }: WormReadings): number {
  const logUniform = (value: number, widest: number) => 1 / (value * Math.log(widest));
  let weight = 1;
  if (tipDiameterMm) weight *= logUniform(tipDiameterMm.value, 100);
  // With the tips known it is the depth of the thread that is free, not the root on its own.
  if (rootDiameterMm)
    weight *= tipDiameterMm ? logUniform(tipDiameterMm.value - rootDiameterMm.value, 64) : logUniform(rootDiameterMm.value, 100);
  if (axialPitch) weight *= logUniform(axialPitch.lengthMm.value, 64);
  if (leadAngleDeg) weight *= 1 / 45;
  if (centreDistanceMm) weight *= logUniform(centreDistanceMm.distanceMm.value, 100);
  return weight;
}

function likelihood(d: number, m: number, starts: number, readings: WormReadings, maxTipLossMm: number): number {
  const { tipDiameterMm, rootDiameterMm, axialPitch, leadAngleDeg, centreDistanceMm } = readings;
  let p = 1;
  if (tipDiameterMm) p *= wornTip(tipDiameterMm.value, d + 2 * m, readingSd(tipDiameterMm.plusMinus), maxTipLossMm);
  if (rootDiameterMm)
    p *= normalDensity(rootDiameterMm.value, d - 2 * WORM_DEDENDUM * m, readingSd(rootDiameterMm.plusMinus, 2 * ROOT_SD * m));
  if (axialPitch) p *= normalDensity(axialPitch.lengthMm.value, Math.PI * m * axialPitch.threads, readingSd(axialPitch.lengthMm.plusMinus));
  if (leadAngleDeg) p *= normalDensity(leadAngleDeg.value, degrees(Math.atan((m * starts) / d)), readingSd(leadAngleDeg.plusMinus));
  if (centreDistanceMm) {
    const distance = (d + m * centreDistanceMm.wheelTeeth) / 2;
    p *= normalDensity(centreDistanceMm.distanceMm.value, distance, readingSd(centreDistanceMm.distanceMm.plusMinus, CENTRE_SD * m));
  }
  return p;
}

/** Where the pitch diameter can lie, by the sharpest reading there is; the whole range where none tells. */
function window(m: number, readings: WormReadings, maxTipLossMm: number): readonly [number, number] {
  const { tipDiameterMm: tip, rootDiameterMm: root, centreDistanceMm: centre } = readings;
  if (tip) {
    const at = tip.value - 2 * m;
    return [at - 6 * readingSd(tip.plusMinus), at + maxTipLossMm + 6 * readingSd(tip.plusMinus)];
  }
  if (root) {
    const at = root.value + 2 * WORM_DEDENDUM * m;
    const width = 6 * readingSd(root.plusMinus, 2 * ROOT_SD * m);
    return [at - width, at + width];
  }
  if (centre) {
    const at = 2 * centre.distanceMm.value - m * centre.wheelTeeth;
    const width = 12 * readingSd(centre.distanceMm.plusMinus, CENTRE_SD * m);
    return [at - width, at + width];
  }
  return [QUOTIENT_RANGE[0] * m, QUOTIENT_RANGE[1] * m];
}
