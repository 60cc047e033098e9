import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';

const speed = z.number().min(0).max(2000);

export const speedPoint = z.strictObject({ reference: speed, shown: speed });

export const speedometerInput = z.strictObject({
  points: z.array(speedPoint).min(2).max(500),
  predictedPercent: z.number().min(-100).max(1000).optional(),
});
export const speedometerOutput = z.object({
  errorPercent: z.number(),
  offset: z.number(),
  residual: z.number(),
  /** How sure the error is, in percent. */
  standardErrorPercent: z.number().nullable(),
  agrees: z.boolean().optional(),
  /** Whether no point shows less than the reference, nor more than a tenth and 4 km/h above it; in km/h. */
  withinRule: z.boolean(),
});

/** What a needle may show too much: a tenth of the true speed and 4 km/h; too little never (UN Regulation 39, 5.4). */
const [RULE_SHARE, RULE_MORE] = [0.1, 4];
/** A needle and a reference are read no closer than this on the whole, percent (bench judgement). */
const CLOSEST = 1;

/**
 * A speedometer against a reference at several speeds: shown = offset + (1 + error)·reference by least squares, what is left over
 * (root mean square), and whether it agrees with the error that was reckoned: the slope by itself, and the whole where the
 * points lie, so that a needle that shows the same too much at every speed does not.
 *
 * Source: linear regression (Bevington, 6); agreement within two standard errors and a percent.
 * @throws CoreFailure where all points are of one speed
 * @example 52, 78, 104 shown at 50, 75, 100 → 4 % high, no offset
 */
export function speedometerProof({ points, predictedPercent }: z.infer<typeof speedometerInput>): z.infer<typeof speedometerOutput> {
  const n = points.length;
  const mean = (of: (each: (typeof points)[number]) => number) => points.reduce((sum, each) => sum + of(each), 0) / n;
  const [x, y] = [mean(({ reference }) => reference), mean(({ shown }) => shown)];
  const spread = points.reduce((sum, { reference }) => sum + (reference - x) ** 2, 0);
  if (spread < 1e-9) throw fail('contradiction', 'points', { reason: 'oneSpeed' });
  const slope = points.reduce((sum, { reference, shown }) => sum + (reference - x) * (shown - y), 0) / spread;
  const offset = y - slope * x;
  const squares = points.reduce((sum, { reference, shown }) => sum + (shown - offset - slope * reference) ** 2, 0);
  const standardErrorPercent = n > 2 ? 100 * Math.sqrt(squares / (n - 2) / spread) : null;
  const errorPercent = (slope - 1) * 100;
  return {
    errorPercent,
    offset,
    residual: Math.sqrt(squares / n),
    standardErrorPercent,
    withinRule: points.every(({ reference, shown }) => shown >= reference && shown - reference <= RULE_SHARE * reference + RULE_MORE),
    ...(predictedPercent !== undefined && {
      agrees:
        Math.abs(errorPercent - predictedPercent) <= CLOSEST + 2 * (standardErrorPercent ?? CLOSEST) &&
        Math.abs((y / x - 1) * 100 - predictedPercent) <= CLOSEST + (n > 2 ? (200 * Math.sqrt(squares / (n - 2) / n)) / x : 2 * CLOSEST),
    }),
  };
}
