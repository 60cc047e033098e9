import type { Belief } from './belief.ts';

/** Shannon entropy in bits. @example entropyBits({ a: 0.5, b: 0.5 }) // 1 */
export function entropyBits(belief: Belief): number {
  let bits = 0;
  for (const p of Object.values(belief)) if (p > 0) bits -= p * Math.log2(p);
  return bits;
}
