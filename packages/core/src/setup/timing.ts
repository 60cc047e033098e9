import { z } from 'zod';
import { countUpTo, MOST_TEETH, positiveUpTo } from '../quantity/bounds.ts';

const travel = z.number().min(0).max(100_000);

export const timingInput = z.strictObject({
  /** Travelled out, measured on each side. */
  leftMm: travel,
  rightMm: travel,
  toleranceMm: z.number().min(0).max(1000),
  teeth: countUpTo(MOST_TEETH),
  moduleMm: positiveUpTo(100),
  crankTurnsPerPinionTurn: positiveUpTo(10_000).default(1),
});
export const timingOutput = z.object({
  differenceMm: z.number(),
  within: z.boolean(),
  behind: z.enum(['left', 'right']).nullable(),
  pinionTurns: z.number(),
  teeth: z.int(),
  crankTurns: z.number(),
  leftOverMm: z.number(),
});

/**
 * Two sides of a slide out of step: by how much, which is behind, how many whole teeth to jump it forward or turns at the crank, and
 * what is left over then (below nought: it is ahead by that). mm; a tooth is π modules of travel.
 * @example 500 left, 490.6 right, module 3 → right is behind by a tooth, 0.02 mm left over
 */
export function sidesInTime(input: z.infer<typeof timingInput>): z.infer<typeof timingOutput> {
  const { leftMm, rightMm, toleranceMm, teeth: count, moduleMm, crankTurnsPerPinionTurn } = input;
  const differenceMm = Math.abs(leftMm - rightMm);
  const within = differenceMm <= toleranceMm;
  const toothMm = Math.PI * moduleMm;
  const teeth = within ? 0 : Math.round(differenceMm / toothMm);
  const pinionTurns = differenceMm / (toothMm * count);
  return {
    differenceMm,
    within,
    behind: within ? null : behindOf(leftMm, rightMm),
    pinionTurns,
    teeth,
    crankTurns: pinionTurns * crankTurnsPerPinionTurn,
    leftOverMm: differenceMm - teeth * toothMm,
  };
}

const behindOf = (left: number, right: number) => (left < right ? 'left' : 'right');
