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
  /** Whether so few turns tell one tooth more or less at all; and how many in would. */
  enough: z.boolean(),
  drivenForMore: z.number(),
  /** The ratio that was counted; null where nothing came out. */
  ratio: z.number().nullable(),
});

/** One tooth more or less on a gear of fifty, percent: what a count has to tell apart (judgement). */
const ONE_TOOTH = 2;

/**
 * Turns counted out against those that a ratio lets come. It agrees where the difference is no more than what the reading itself can be
 * off by, and less than one tooth would make: teeth are whole, so a ratio is exact. A reading that is itself off by more than a
 * tooth proves nothing yet, and says how many turns in would.
 * @example 1000 in at 1000:1, drums read to a tenth show 1.0 → agrees
 */
export function turnsProof({ driven, counted, readTo, ratio }: z.infer<typeof turnsInput>): z.infer<typeof turnsOutput> {
  const wanted = driven / ratio;
  return {
    wanted,
    differencePercent: (counted / wanted - 1) * 100,
    readingPercent: (readTo / wanted) * 100,
    agrees: Math.abs(counted - wanted) <= Math.min(readTo, (ONE_TOOTH / 100) * wanted),
    enough: readTo / wanted <= ONE_TOOTH / 100,
    drivenForMore: Math.ceil((100 * readTo * ratio) / ONE_TOOTH),
    ratio: counted > 0 ? driven / counted : null,
  };
}
