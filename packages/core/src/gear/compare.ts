import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { measured } from '../quantity/measured.ts';
import { own } from '../operation/own.ts';

const readings = z.record(z.string().max(60), measured);

export const compareInput = z.strictObject({ first: readings, second: readings });
export const COMPARED = ['same', 'differs', 'tooCloseToTell', 'notRead'] as const;
export const compareOutput = z.object({
  attributes: z.array(
    z.object({
      name: z.string(),
      state: z.enum(COMPARED),
      first: z.number().optional(),
      second: z.number().optional(),
      /** Second less first. */
      difference: z.number().optional(),
      /** One standard deviation of the difference. */
      plusMinus: z.number().optional(),
    }),
  ),
  /** The attribute that differs most clearly, in standard deviations; null where none does. */
  deciding: z.string().nullable(),
});
export type Comparison = z.infer<typeof compareOutput>;

/** A difference this many standard deviations wide is one; below the lower figure they are the same. */
const [CLEAR, ALIKE] = [3, 2];
/** Readings finer than this leave nothing to be told apart by. */
const FINEST = 0.002;

/**
 * Two gears side by side, attribute by attribute, each reading with its ±: old and new, donor and worn,
 * left and right. Same within two standard deviations of the difference, different from three on.
 * @throws CoreFailure where nothing was read of either
 * @example face width 10.0 ± 0.03 and 12.0 ± 0.03 → differs by 2, deciding
 */
export function compareGears({ first, second }: z.output<typeof compareInput>): Comparison {
  const names = [...new Set([...Object.keys(first), ...Object.keys(second)])];
  if (names.length === 0) throw fail('nothingGiven', 'first', { reason: 'measureBothFirst' });
  const rated = names.map((name) => {
    const [p, q] = [own(first, name), own(second, name)];
    if (!p || !q) return { name, state: 'notRead' as const, sigmas: 0, ...(p && { first: p.value }), ...(q && { second: q.value }) };
    const difference = q.value - p.value;
    const plusMinus = Math.max(FINEST, Math.hypot(p.plusMinus, q.plusMinus));
    const sigmas = Math.abs(difference) / plusMinus;
    return { name, state: stateOf(sigmas), sigmas, first: p.value, second: q.value, difference, plusMinus };
  });
  const worst = rated.reduce<(typeof rated)[number] | null>((top, each) => (each.sigmas > (top?.sigmas ?? 0) ? each : top), null);
  return {
    attributes: rated.map(({ sigmas: _, ...each }) => each),
    deciding: worst?.state === 'differs' ? worst.name : null,
  };
}

function stateOf(sigmas: number): (typeof COMPARED)[number] {
  if (sigmas >= CLEAR) return 'differs';
  return sigmas <= ALIKE ? 'same' : 'tooCloseToTell';
}
