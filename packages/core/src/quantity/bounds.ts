import { because } from '../failure/FailureReason.ts';
import { z } from 'zod';

/**
 * Bounds that every input shares. They are far outside of what a small shop meets, and near enough that no
 * sum runs out of numbers and no list keeps anybody waiting. An upper bound comes with a smallest value:
 * what is divided by may not be next to nothing.
 */
export const LARGEST_MM = 100_000;
const SMALLEST = 1e-4;

/** A length in mm that is more than zero, from a tenth of a µm to a hundred metres. */
export const lengthMm = z.number().positive().min(SMALLEST).max(LARGEST_MM);
/** More than zero and no larger than `most`. */
export const positiveUpTo = (most: number) =>
  z
    .number()
    .positive()
    .min(Math.min(SMALLEST, most / 1e9))
    .max(most);
/** Teeth, starts, threads: whole and at least one. */
export const countUpTo = (most: number) => z.int().positive().max(most);
export const MOST_TEETH = 2000;
/** No gear that a small shop meets has larger teeth, or finer ones. */
export const MOST_MODULE_MM = 100;
export const MOST_DIAMETRAL_PITCH = 1000;
/** How far something turns or travels, with its sign. */
const MOST_MOTION = 1e9;
/** How uncertain a reading can be and still be one. */
export const plusMinus = z.number().min(0).max(10_000);

/** A name by which things refer to each other. */
export const name = z.string().min(1).max(120);
/** The name of a piece of a family, by which its other pieces refer to it. */
export const id = z
  .string()
  .max(120)
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, because('notId'));
/** A sentence or two. */
export const sentence = z.string().min(1).max(2000);
/** Readings of one quantity: more than anybody takes, few enough to go through. */
export const MOST_READINGS = 400;
/** Turns or mm, with their sign: put in, or read. */
export const motionAmount = z.number().min(-MOST_MOTION).max(MOST_MOTION);
