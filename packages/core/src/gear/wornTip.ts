import { normalBelow, normalDensity } from '../inference/normal.ts';
import { FINEST } from '../quantity/measured.ts';

/** Density of a tip diameter read: tips are new or have lost up to `most`, evenly likely; a normal error over a uniform loss. */
export function wornTip(read: number, whole: number, error: number, most: number): number {
  if (most < error / 10) return normalDensity(read, whole, error);
  return (normalBelow(read, whole - most, error) - normalBelow(read, whole, error)) / most;
}

/** Standard deviation of a reading, never finer than any hand's, and what else leaves it open. */
export const readingSd = (plusMinus: number, makerSd = 0): number => Math.hypot(Math.max(plusMinus, FINEST), makerSd);
