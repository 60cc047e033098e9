import { logNormalBetween, logNormalDensity } from '../inference/normal.ts';
import { FINEST } from '../quantity/measured.ts';

/**
 * Logarithm of the density of something read that wears: it is new or has lost up to `maxLossMm`, evenly likely;
 * a normal error over a uniform loss. It reads low, never high.
 */
export function logWorn(read: number, unworn: number, error: number, maxLossMm: number): number {
  if (maxLossMm < error / 10) return logNormalDensity(read, unworn, error);
  const z = (read - unworn) / error;
  return logNormalBetween(z, z + maxLossMm / error) - Math.log(maxLossMm);
}

/** Standard deviation of a reading, never finer than any hand's, and what else leaves it open. */
export const readingSd = (plusMinus: number, makerSd = 0): number => Math.hypot(Math.max(plusMinus, FINEST), makerSd);
