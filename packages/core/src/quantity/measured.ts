import { z } from 'zod';
import { LARGEST_MM, lengthMm, plusMinus } from './bounds.ts';

/** A reading with one standard deviation of the instrument and the hand that held it. */
export const measured = z.strictObject({ value: z.number().min(-LARGEST_MM).max(LARGEST_MM), plusMinus });
export type Measurement = z.infer<typeof measured>;

/** As `measured`, for lengths that can only be positive. */
export const measuredLength = z.strictObject({ value: lengthMm, plusMinus });

/** As `measured`, for how far something leans, degrees. */
export const measuredAngle = z.strictObject({ value: z.number().min(-90).max(90), plusMinus: z.number().min(0).max(90) });

/**
 * Instruments and one standard deviation of a reading in an unhurried hand, in mm
 * (degrees for the protractor). Shop figures of the project; a reading may carry its own.
 */
export const INSTRUMENTS = {
  steelRule: { plusMinus: 0.5 },
  plasticCaliper: { plusMinus: 0.1 },
  digitalCaliper: { plusMinus: 0.03 },
  micrometer: { plusMinus: 0.005 },
  protractor: { plusMinus: 0.5 },
} as const;
export type InstrumentId = keyof typeof INSTRUMENTS;

/**
 * Independent readings of one thing → one, weighted by 1/±² (none finer than `finest`).
 * @example two readings of 18.02 and 18.06, ± 0.03 each → 18.04 ± 0.021
 */
export function combine(readings: readonly Measurement[], finest = 1e-6): Measurement {
  const weights = readings.map(({ plusMinus }) => 1 / Math.max(plusMinus, finest) ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const value = readings.reduce((sum, each, i) => sum + each.value * (weights[i] ?? 0), 0) / total;
  return { value, plusMinus: 1 / Math.sqrt(total) };
}

/** Smallest standard deviation the sums use: nobody's reading is perfect. In mm or degrees. */
export const FINEST = 0.002;

/** The number itself, of a reading or of an exact figure. */
export function plain(given: number | Measurement): number;
export function plain(given: number | Measurement | undefined): number | undefined;
export function plain(given: number | Measurement | undefined): number | undefined {
  return typeof given === 'object' ? given.value : given;
}
