import { z } from 'zod';
import { GEAR_SYSTEMS } from './standardSizes.ts';

/** Which dimension to take next, what it is worth in bits, and how it is taken. */
export const nextMeasurement = z
  .object({
    quantity: z.string(),
    expectedBits: z.number(),
    minutes: z.number(),
    how: z.string(),
    /** Teeth between the jaws, where a span is advised. */ spanTeeth: z.number().optional(),
  })
  .nullable();
export type NextMeasurement = z.infer<typeof nextMeasurement>;

export const gearSystems = z
  .array(z.enum(GEAR_SYSTEMS))
  .min(1)
  .max(GEAR_SYSTEMS.length)
  .default([...GEAR_SYSTEMS]);

/** Chance, before anything is measured, that the gear is none of the standard ones (shop figure). */
export const NONE_OF_THESE_PRIOR = 0.03;
