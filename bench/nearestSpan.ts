import { profileOf } from '@patient-badger/core/gear';
import { measurableSpans } from '../packages/core/src/gear/cylindrical/span.ts';
import type { Cut } from '../packages/core/src/gear/cylindrical/profile.ts';

interface Advised {
  readonly k: number;
  readonly tipLossMm: number;
  /** Counts that were read before. */
  readonly already: readonly { readonly teeth: number }[];
}

/** The count nearest to the one advised over which the jaws touch both flanks, one that was not read before another; null where there is none. */
export function nearestSpan(cut: Cut, { k, tipLossMm, already }: Advised): number | null {
  const profile = profileOf(cut);
  const taken = measurableSpans(cut, profile, { tipDiameterMm: profile.tipDiameterMm - tipLossMm, faceWidthMm: null });
  if (taken.includes(k)) return k;
  const distance = (p: number) => Math.abs(p - k) + (already.some(({ teeth }) => teeth === p) ? 100 : 0);
  return [...taken].sort((p, q) => distance(p) - distance(q))[0] ?? null;
}
