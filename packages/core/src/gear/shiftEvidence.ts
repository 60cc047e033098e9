import { integrateLog, logSum, type IntegralResult } from '../inference/integrate.ts';
import { logNormalDensity } from '../inference/normal.ts';
import { logWorn } from './worn.ts';

/** A reading that follows the profile shift in a straight line, and what may be worn off it. */
export interface ShiftedReading {
  readonly read: number;
  readonly sd: number;
  /** What it would be unshifted and new. */
  readonly at: number;
  /** By how much one module of shift moves it; 0 where it does not. */
  readonly slope: number;
  readonly loss: number;
}

/** What makers leave open about the profile shift, in modules. */
export interface ShiftPrior {
  /** Share of the gears that are cut without any. */
  readonly unshifted: number;
  /** The others: normal about nought with this standard deviation, or evenly likely, within these ends. */
  readonly spread: number | 'even';
  readonly from: number;
  readonly to: number;
}

/** Beyond so many standard deviations of a reading nothing is tried that would explain it. */
export const WINDOW_SIGMAS = 8;

/** The evidence of readings with the shift integrated out, over where it can lie by each of them; null where it can lie nowhere. */
export function shiftEvidence(readings: readonly ShiftedReading[], prior: ShiftPrior): IntegralResult | null {
  const shifted = integrateLog((x) => evidenceAt(x, readings) + logSpread(x, prior), window(readings, prior));
  if (!shifted || prior.unshifted === 0) return shifted;
  const unshifted = evidenceAt(0, readings) + Math.log(prior.unshifted);
  const log = logSum([unshifted, shifted.log]);
  const share = Math.exp(shifted.log - log);
  const mean = share * shifted.mean;
  return { log, mean, sd: Math.sqrt(Math.max(0, share * (shifted.sd ** 2 + shifted.mean ** 2) - mean ** 2)) };
}

/** Logarithm of the density of the readings, were the shift so much. */
export const evidenceAt = (shift: number, readings: readonly ShiftedReading[]): number =>
  readings.reduce((sum, { read, at, slope, sd, loss }) => sum + logWorn(read, at + slope * shift, sd, loss), 0);

/** Logarithm of the density of the shifts that are one, all of which share what the unshifted leave. */
function logSpread(x: number, { unshifted, spread, from, to }: ShiftPrior): number {
  const density = spread === 'even' ? -Math.log(to - from) : logNormalDensity(x, 0, spread);
  return Math.log(1 - unshifted) + density;
}

function window(readings: readonly ShiftedReading[], { from, to }: ShiftPrior): readonly [number, number] {
  let [low, high] = [from, to];
  for (const { read, sd, at, slope, loss } of readings) {
    if (slope === 0) continue;
    const far = WINDOW_SIGMAS * sd;
    const ends = [(read - at - far) / slope, (read - at + loss + far) / slope];
    low = Math.max(low, Math.min(...ends));
    high = Math.min(high, Math.max(...ends));
  }
  return [low, high];
}
