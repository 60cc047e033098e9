import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

const MOST_FLOAT_MM = 30;

export const shimsInput = z.strictObject({
  floatMm: z.strictObject({ value: z.number().min(0).max(MOST_FLOAT_MM), plusMinus: z.number().min(0).max(10) }),
  wanted: z.strictObject({ minMm: z.number().min(0).max(MOST_FLOAT_MM), maxMm: z.number().min(0).max(MOST_FLOAT_MM) }),
  shims: z.array(z.strictObject({ thicknessMm: positiveUpTo(MOST_FLOAT_MM), count: z.int().min(0).max(50) })).max(30),
});
const stack = z.array(z.object({ thicknessMm: z.number(), count: z.int() }));
export const shimsOutput = z.object({
  stack: stack.nullable(),
  leftMm: z.number(),
  pieces: z.int(),
  /** What the float was read to, and so what is left. */
  plusMinusMm: z.number(),
  /** Whether what is left lies in the range wherever the float lies in its ±. */
  sure: z.boolean(),
});

/** Shims are sold and read to a hundredth: a thousandth tells them apart. */
const STEPS_A_MM = 1000;

/**
 * The stack of the shims at hand that brings a measured float into the wanted range, whatever the float is within its ±
 * where one does: fewest pieces, then nearest the range's middle; null where none does. mm; exact to a thousandth.
 * @example float 0.62, wanted 0.05 to 0.15, shims of 0.1, 0.2 and 0.5 → one of 0.5, 0.12 left
 */
export function shimStack({ floatMm, wanted, shims }: z.infer<typeof shimsInput>): z.infer<typeof shimsOutput> {
  if (wanted.minMm > wanted.maxMm) throw fail('contradiction', 'wanted.minMm', { reason: 'rangeBackwards' });
  const float = Math.round(floatMm.value * STEPS_A_MM);
  const list = shims.map(({ thicknessMm, count }) => ({ thicknessMm, steps: Math.round(thicknessMm * STEPS_A_MM), count }));
  // Fewest pieces for each height, shim after shim; how many of each it took, to be read back.
  let fewest = new Int32Array(float + 1).fill(-1);
  fewest[0] = 0;
  const took = list.map(({ steps, count }) => {
    const next = new Int32Array(fewest);
    const of = new Uint8Array(float + 1);
    if (steps > 0)
      for (let height = 0; height <= float; height++)
        for (let n = 1; n <= count && n * steps <= height; n++) {
          const before = fewest[height - n * steps] ?? -1;
          if (before < 0) continue;
          const now = next[height] ?? -1;
          if (now < 0 || before + n < now) {
            next[height] = before + n;
            of[height] = n;
          }
        }
    fewest = next;
    return of;
  });
  const [least, most] = [Math.ceil((wanted.minMm - 1e-9) * STEPS_A_MM), Math.floor((wanted.maxMm + 1e-9) * STEPS_A_MM)];
  const doubt = Math.ceil((floatMm.plusMinus - 1e-9) * STEPS_A_MM);
  const isSure = (left: number) => left - doubt >= least && left + doubt <= most;
  const middle = ((wanted.minMm + wanted.maxMm) / 2) * STEPS_A_MM;
  let best = -1;
  for (let height = 0; height <= float; height++) {
    const left = float - height;
    if ((fewest[height] ?? -1) < 0 || left < least || left > most) continue;
    const surer = best < 0 ? 1 : Number(isSure(left)) - Number(isSure(float - best));
    if (surer < 0) continue;
    const fewer = best < 0 ? 1 : (fewest[best] ?? 0) - (fewest[height] ?? 0);
    if (surer > 0 || fewer > 0 || (fewer === 0 && Math.abs(left - middle) < Math.abs(float - best - middle))) best = height;
  }
  if (best < 0) return { stack: null, leftMm: floatMm.value, pieces: 0, plusMinusMm: floatMm.plusMinus, sure: false };
  let height = best;
  const chosen = list
    .map(({ thicknessMm, steps }, i) => [thicknessMm, steps, took[i]] as const)
    .reverse()
    .flatMap(([thicknessMm, steps, of]) => {
      const count = of?.[height] ?? 0;
      height -= count * steps;
      return count > 0 ? [{ thicknessMm, count }] : [];
    });
  return {
    stack: chosen.sort((p, q) => q.thicknessMm - p.thicknessMm),
    leftMm: floatMm.value - best / STEPS_A_MM,
    pieces: fewest[best] ?? 0,
    plusMinusMm: floatMm.plusMinus,
    sure: isSure(float - best),
  };
}
