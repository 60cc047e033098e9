import { z } from 'zod';
import { positiveUpTo, sentence } from '../quantity/bounds.ts';
import type { Measurement } from '../quantity/measured.ts';

/** How much thinner a tooth may be, where somebody says so, and whose figure that is. */
export const thinningLimits = z.strictObject({ thinningMm: positiveUpTo(100).optional(), source: sentence.optional() }).default({});
type ThinningLimits = z.output<typeof thinningLimits>;

/** Thinning at which a gear is done, in modules, where the maker names none (rule of thumb of small shops: a tenth of the module). */
const LIMIT_MODULES = 0.1;
/** From this share of the limit on it is worth watching. */
const WATCH_SHARE = 0.6;

/** The limit of teeth of a module where nobody gave one, mm. */
export const thumbLimit = (normalModuleMm: number): number => LIMIT_MODULES * normalModuleMm;

/** Whose limit it is, as an answer says it. */
export const limitSaid = ({ thinningMm, source }: ThinningLimits) => ({
  ...(thinningMm !== undefined && source !== undefined && { limitSource: source }),
  limitGiven: thinningMm !== undefined,
});

/** How thinning stands to its limit: over it, near it, or below it by less than the reading is sharp. */
export function againstLimit({ value, plusMinus }: Measurement, limitMm: number) {
  const share = value / limitMm;
  return { isOver: share >= 1, isNear: share >= WATCH_SHARE, isUnsure: share < 1 && share + (2 * plusMinus) / limitMm >= 1 };
}
