import { integrateLog, type IntegralResult } from '../inference/integrate.ts';
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

/** What makers leave open about the profile shift, in modules: normal about nought, within these ends. */
export interface FreeShift {
  readonly sd: number;
  readonly from: number;
  readonly to: number;
}

/** Beyond so many standard deviations of a reading nothing is tried that would explain it. */
export const WINDOW_SIGMAS = 8;

/** The evidence of readings with the shift integrated out, over where it can lie by each of them; null where it can lie nowhere. */
export function shiftEvidence(readings: readonly ShiftedReading[], { sd: spread, from, to }: FreeShift): IntegralResult | null {
  let [low, high] = [from, to];
  for (const { read, sd, at, slope, loss } of readings) {
    if (slope === 0) continue;
    const far = WINDOW_SIGMAS * sd;
    const ends = [(read - at - far) / slope, (read - at + loss + far) / slope];
    low = Math.max(low, Math.min(...ends));
    high = Math.min(high, Math.max(...ends));
  }
  return integrateLog(
    (x) =>
      readings.reduce(
        (sum, each) => sum + logWorn(each.read, each.at + each.slope * x, each.sd, each.loss),
        logNormalDensity(x, 0, spread),
      ),
    [low, high],
  );
}
