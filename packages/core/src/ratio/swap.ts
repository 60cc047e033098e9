import { z } from 'zod';
import { positiveUpTo } from '../quantity/bounds.ts';

const pair = z.strictObject({
  name: z.string().min(1).max(80),
  driverTeeth: z.int().positive().max(500),
  drivenTeeth: z.int().positive().max(500),
  priceMinor: z.int().min(0).max(1e9).default(0),
  /** Distance a pair like this lasts. */
  lifeKm: positiveUpTo(1e7).optional(),
});

export const swapInput = z.strictObject({
  /** Engine turns per wheel turn of everything else in the chain: primary, axle or chain. */
  otherReduction: positiveUpTo(10_000),
  turnsPerKm: positiveUpTo(100_000),
  now: pair,
  others: z.array(pair).min(1).max(20),
  speedsKmh: z.array(z.number().positive().max(400)).min(1).max(60),
  yearlyKm: positiveUpTo(1e7).optional(),
});

const row = z.object({
  name: z.string(),
  reduction: z.number(),
  engineRpm: z.array(z.object({ speedKmh: z.number(), rpm: z.number() })),
  /** Against the pair that is in now; below nought the engine turns slower. */
  changePercent: z.number(),
  pricePer1000KmMinor: z.number().optional(),
  yearsOfLife: z.number().optional(),
});
export const swapOutput = z.object({ options: z.array(row) });
export type Swap = z.infer<typeof swapOutput>;

/**
 * Engine speed at each road speed with another pair of gears, and what the pair costs by the distance it
 * lasts. The pair that is in now comes first. rpm = speed / 60 · turns per km · other reduction · driven / driver.
 * @example 4th gear 25/24 → 24/25: the engine turns 7.8 % slower
 */
export function gearSwap({ otherReduction, turnsPerKm, now, others, speedsKmh, yearlyKm }: z.output<typeof swapInput>): Swap {
  const reductionOf = ({ driverTeeth, drivenTeeth }: z.output<typeof pair>) => drivenTeeth / driverTeeth;
  return {
    options: [now, ...others].map((pair) => {
      const reduction = reductionOf(pair);
      return {
        name: pair.name,
        reduction,
        engineRpm: speedsKmh.map((speedKmh) => ({ speedKmh, rpm: (speedKmh / 60) * turnsPerKm * otherReduction * reduction })),
        changePercent: 100 * (reduction / reductionOf(now) - 1),
        ...(pair.lifeKm !== undefined && { pricePer1000KmMinor: (1000 * pair.priceMinor) / pair.lifeKm }),
        ...(pair.lifeKm !== undefined && yearlyKm !== undefined && { yearsOfLife: pair.lifeKm / yearlyKm }),
      };
    }),
  };
}
