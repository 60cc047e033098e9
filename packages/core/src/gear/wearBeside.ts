import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { MOST_MODULE_MM, positiveUpTo } from '../quantity/bounds.ts';
import { measuredLength, type Measurement } from '../quantity/measured.ts';
import type { MeasuredGear } from './measuredGear.ts';
import { combined } from './readings.ts';
import { againstLimit, limitSaid, thinningLimits, thumbLimit } from './thinningLimit.ts';
import { readingSd } from './worn.ts';

export const wearBesideInput = z.strictObject({
  /** Over the tip of a tooth or a thread where it has worked, and where it never has; alike deep, on one and the same piece. */
  workedMm: measuredLength,
  freshMm: measuredLength,
  /** Without it there is no rule of thumb. */
  normalModuleMm: positiveUpTo(MOST_MODULE_MM).optional(),
  limits: thinningLimits,
});

export const BESIDE_REASONS = ['thinned', 'notSharpEnough', 'noLimit'] as const;

export const wearBesideOutput = z.object({
  thinningMm: z.object({ value: z.number(), plusMinus: z.number() }),
  /** Null where nobody gave one and no rule of thumb holds. */
  limitMm: z.number().nullable(),
  limitSource: z.string().optional(),
  limitGiven: z.boolean(),
  /** Null while there is nothing to hold it against. */
  verdict: z.enum(['good', 'watch', 'replace']).nullable(),
  reason: z.enum(BESIDE_REASONS),
});
export type WearBeside = z.infer<typeof wearBesideOutput>;

/** Readings of one thickness may lie so many of their ± apart. */
const APART = 3;

/**
 * How much thinner teeth or threads are where they have worked than where they never have, both on one piece: what their maker cut
 * does not matter. A rack, a screw, a sector that goes to and fro over a part of its length has both. mm. The limit is the one given,
 * else for teeth the rule of thumb of `gear.wear`, a tenth of the module.
 * @throws CoreFailure where the worked ones are thicker than the fresh ones
 * @example worked 1.62, fresh 1.69, each ± 0.02, module 2 → 0.07 ± 0.028 mm thinner, good
 */
export function wearBeside({ workedMm, freshMm, normalModuleMm, limits }: z.output<typeof wearBesideInput>): WearBeside {
  const plusMinus = Math.hypot(readingSd(workedMm.plusMinus), readingSd(freshMm.plusMinus));
  const thinningMm = { value: freshMm.value - workedMm.value, plusMinus };
  if (thinningMm.value < -APART * plusMinus)
    throw fail('contradiction', 'workedMm', { reason: 'workedThicker', workedMm: workedMm.value, freshMm: freshMm.value });
  const limitMm = limits.thinningMm ?? (normalModuleMm === undefined ? null : thumbLimit(normalModuleMm));
  return {
    thinningMm,
    limitMm,
    ...limitSaid(limits),
    ...judged(thinningMm, limitMm),
  };
}

function judged(thinning: Measurement, limitMm: number | null): Pick<WearBeside, 'verdict' | 'reason'> {
  if (limitMm === null) return { verdict: null, reason: 'noLimit' };
  const { isOver, isNear, isUnsure } = againstLimit(thinning, limitMm);
  if (isOver) return { verdict: 'replace', reason: 'thinned' };
  if (isNear) return { verdict: 'watch', reason: 'thinned' };
  return isUnsure ? { verdict: 'watch', reason: 'notSharpEnough' } : { verdict: 'good', reason: 'thinned' };
}

type Beside = MeasuredGear<'tipWidthMm' | 'freshTipWidthMm'> & {
  readonly limit?: { readonly thinningMm: number; readonly source: string };
};

/** Worked beside fresh, as `gear.wearBeside` takes it; null while either was not read. */
export function wearBesideQuestion({ readings, limit }: Beside, normalModuleMm?: number): z.input<typeof wearBesideInput> | null {
  const [workedMm, freshMm] = [combined(readings.tipWidthMm), combined(readings.freshTipWidthMm)];
  if (!workedMm || !freshMm) return null;
  return {
    workedMm,
    freshMm,
    ...(normalModuleMm !== undefined && { normalModuleMm }),
    ...(limit && { limits: { thinningMm: limit.thinningMm, source: limit.source } }),
  };
}
