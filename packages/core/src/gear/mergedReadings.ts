import { combine, FINEST, type Measurement } from '../quantity/measured.ts';

/**
 * Several readings of one quantity as one: their weighted mean, and its ±, which is wider where they scatter
 * more than their own ± explain (Birge ratio). What they say of each other is the same whatever gear it was.
 */
export function mergedReading(readings: readonly Measurement[]): Measurement {
  const [first] = readings;
  if (first && readings.length === 1) return first;
  const { value, plusMinus } = combine(readings, FINEST);
  const chi2 = readings.reduce((sum, each) => sum + ((each.value - value) / Math.max(each.plusMinus, FINEST)) ** 2, 0);
  return { value, plusMinus: plusMinus * Math.sqrt(Math.max(1, chi2 / (readings.length - 1))) };
}
