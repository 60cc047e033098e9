import { z } from 'zod';
import { positiveUpTo } from '../quantity/bounds.ts';

const turns = positiveUpTo(1e7);

export const turnsInput = z.strictObject({
  /** Turns put in. */
  driven: turns,
  /** Turns, or what the counter shows, that came out; read to so much. */
  counted: z.number().min(0).max(1e7),
  readTo: positiveUpTo(1e5).default(0.1),
  /** In for one out. */
  ratio: positiveUpTo(1e6),
});
export const turnsOutput = z.object({
  wanted: z.number(),
  differencePercent: z.number(),
  /** What the reading alone can be off by, percent. */
  readingPercent: z.number(),
  agrees: z.boolean(),
  /** The ratio that was counted; null where nothing came out. */
  ratio: z.number().nullable(),
});

/**
 * Turns counted out against those that a ratio lets come. It agrees where the difference is no more than what the reading itself can be
 * off by: teeth are whole, so a ratio is exact.
 * @example 1000 in at 1000:1, drums read to a tenth show 1.0 → agrees
 */
export function turnsProof({ driven, counted, readTo, ratio }: z.infer<typeof turnsInput>): z.infer<typeof turnsOutput> {
  const wanted = driven / ratio;
  return {
    wanted,
    differencePercent: (counted / wanted - 1) * 100,
    readingPercent: (readTo / wanted) * 100,
    agrees: Math.abs(counted - wanted) <= readTo,
    ratio: counted > 0 ? driven / counted : null,
  };
}
