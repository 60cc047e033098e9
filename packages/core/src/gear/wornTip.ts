import { normalBelow, normalDensity } from '../inference/normal.ts';
import { FINEST } from '../quantity/measured.ts';

/** Density of a tip diameter read: tips are new or have lost up to `maxLossMm`, evenly likely; a normal error over a uniform loss. */
export function wornTip(read: number, unworn: number, error: number, maxLossMm: number): number {
  if (maxLossMm < error / 10) return normalDensity(read, unworn, error);
  return (normalBelow(read, unworn - maxLossMm, error) - normalBelow(read, unworn, error)) / maxLossMm;
}

/** Standard deviation of a reading, never finer than any hand's, and what else leaves it open. */
export const readingSd = (plusMinus: number, makerSd = 0): number => Math.hypot(Math.max(plusMinus, FINEST), makerSd);
