import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { name, positiveUpTo } from '../quantity/bounds.ts';
import { USE_UNITS } from '../quantity/useUnit.ts';
import { OPTION_KINDS } from '../work/remedy.ts';
import { meanUpTo, quantile, weibullOf } from '../inference/weibull.ts';

/** Money in hundredths of the currency. */
const minor = z.number().min(0).max(1e11);
const share = z.number().min(0).max(1);

export { OPTION_KINDS, type OptionKind } from '../work/remedy.ts';

const optionGiven = z.strictObject({
  id: name,
  kind: z.enum(OPTION_KINDS),
  partsMinor: minor,
  minutes: z.number().min(0).max(100_000),
  leadDays: z.number().min(0).max(10_000).default(0),
  /** In the unit of the use; Weibull. */
  life: z.strictObject({ mean: positiveUpTo(1e8), shape: z.number().min(0.3).max(20).default(2) }),
  /** How likely it has to be done again. */
  comeBackRisk: share.default(0),
  downtimeDays: z.number().min(0).max(10_000).default(0),
});

export const optionsInput = z.strictObject({
  options: z.array(optionGiven).min(1).max(50),
  use: z.strictObject({ perYear: positiveUpTo(1e7), unit: z.enum(USE_UNITS) }),
  rateMinorPerHour: minor,
  costPerDownDayMinor: minor.default(0),
  horizonYears: positiveUpTo(200).optional(),
});
export type OptionsInput = z.output<typeof optionsInput>;

const ranked = z.object({
  id: z.string(),
  costMinor: z.number(),
  expectedCostMinor: z.number(),
  expectedYears: z.number(),
  years10: z.number(),
  years90: z.number(),
  costPerYearMinor: z.number(),
  costPerYear10Minor: z.number(),
  costPerYear90Minor: z.number(),
});
export const optionsOutput = z.object({ ranked: z.array(ranked) });
export type RankedOption = z.infer<typeof ranked>;

/**
 * Options side by side, the cheapest per expected year first. Life is Weibull with its mean, in the unit of the use; the owner's
 * use a year turns it into years, cut off at the horizon. Expected cost: parts and minutes, once more as often as it comes back, and
 * the days that the machine stands. `years10` and `years90` are quantiles of min(life, horizon), and the costs a year beside them
 * are the expected cost over those: the early end of the life is the dear one.
 *
 * Source: life-cycle cost per expected year of service (IEC 60300-3-3, without discounting).
 * @throws CoreFailure where two options have one id, or a use counted in years is not one a year
 * @example 60 EUR of parts and an hour at 60, life 1000 h, 100 h a year → 12 EUR a year
 */
export function rankOptions({ options, use, rateMinorPerHour, costPerDownDayMinor, horizonYears }: OptionsInput): {
  ranked: RankedOption[];
} {
  options.forEach(({ id }, i) => {
    if (options.findIndex((each) => each.id === id) !== i) throw fail('duplicateId', `options.${i}.id`, { given: id });
  });
  if (use.unit === 'years' && use.perYear !== 1) throw fail('contradiction', 'use.perYear', { reason: 'yearsAreOneAYear' });
  const list = options.map((option): RankedOption => {
    const costMinor = option.partsMinor + (option.minutes / 60) * rateMinorPerHour;
    const expectedCostMinor = costMinor * (1 + option.comeBackRisk) + option.downtimeDays * costPerDownDayMinor;
    const life = weibullOf(option.life.mean / use.perYear, option.life.shape);
    const cut = (years: number) => Math.min(years, horizonYears ?? Infinity);
    const expectedYears = meanUpTo(life, horizonYears);
    const [years10, years90] = [cut(quantile(life, 0.1)), cut(quantile(life, 0.9))];
    return {
      id: option.id,
      costMinor,
      expectedCostMinor,
      expectedYears,
      years10,
      years90,
      costPerYearMinor: expectedCostMinor / expectedYears,
      costPerYear10Minor: expectedCostMinor / years10,
      costPerYear90Minor: expectedCostMinor / years90,
    };
  });
  return { ranked: list.sort((p, q) => p.costPerYearMinor - q.costPerYearMinor || p.expectedCostMinor - q.expectedCostMinor) };
}
