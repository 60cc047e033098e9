import { combine, FINEST, type Measurement } from '../quantity/measured.ts';

/**
 * Several readings of one quantity as one: their weighted mean, and its ±, which is wider (by the Birge ratio) where
 * they scatter more than their own ± explain: chance does so in one of twenty, beyond the mean of χ² by two of its
 * standard deviations. What they say of each other is the same whatever gear it was.
 */
export function mergedReading(readings: readonly Measurement[]): Measurement {
  const [first] = readings;
  if (first && readings.length === 1) return first;
  const { value, plusMinus } = combine(readings, FINEST);
  const chi2 = readings.reduce((sum, each) => sum + ((each.value - value) / Math.max(each.plusMinus, FINEST)) ** 2, 0);
  const freedom = readings.length - 1;
  return { value, plusMinus: chi2 > freedom + 2 * Math.sqrt(2 * freedom) ? plusMinus * Math.sqrt(chi2 / freedom) : plusMinus };
}
