import { z } from 'zod';
import { GEAR_SYSTEMS } from './standardSizes.ts';

/** The ways in which a reading is taken; worded by the wording package. */
export const READING_METHODS = [
  'spanOverTeeth',
  'spanElsewhere',
  'acrossFace',
  'overTips',
  'inOppositeSpaces',
  'countStarts',
  'alongWorm',
  'overThreadTips',
  'inThread',
  'rollWorm',
  'overThroat',
  'rollWheel',
  'depthInThroat',
  'betweenCentres',
  'overPinionTips',
  'overWheelTips',
  'alongCone',
  'depthAtLargeEnd',
  'coneAngle',
  'alongRack',
  'depthFromTip',
  'flankAngle',
  'rackTravel',
  'alongScrew',
  'nutTravel',
  'countScrewStarts',
] as const;
export type ReadingMethod = (typeof READING_METHODS)[number];

/** Which dimension to take next, what it is worth in bits, and how it is taken. */
export const nextMeasurement = z
  .object({
    quantity: z.string(),
    expectedBits: z.number(),
    minutes: z.number(),
    how: z.enum(READING_METHODS),
    /** Teeth, threads, lines or turns that it goes over, where it goes over several. */
    over: z.number().optional(),
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
