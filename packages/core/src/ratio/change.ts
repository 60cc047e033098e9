import { z } from 'zod';

const chain = z.strictObject({
  turnsPerKm: z.number().positive().max(5000),
  axleRatio: z.number().positive().max(50),
  /** Engine turns for one of the gearbox output in the gear that is driven in. */
  topGearRatio: z.number().positive().max(10).default(1),
});

export const changeInput = z.strictObject({
  before: chain,
  after: chain,
  /** How far it reads off as it is; nought where it reads true. */
  readsNowPercent: z.number().gt(-100).max(1000).default(0),
  speedsKmh: z.array(z.number().positive().max(400)).min(1).max(60).default([50, 80, 100]),
});
export const changeOutput = z.object({
  /** How far it will read off with the same speedometer gears; positive reads high. */
  readsAfterPercent: z.number(),
  /** How far the odometer runs ahead (or, below nought, behind) in a true thousand. */
  driftPer1000: z.number(),
  /** What the instrument shows at each true speed. */
  shown: z.array(z.object({ trueKmh: z.number(), before: z.number(), after: z.number() })),
  engine: z.array(z.object({ trueKmh: z.number(), rpmBefore: z.number(), rpmAfter: z.number() })),
  engineChangePercent: z.number(),
  /** The axle that would pull on the new tyres as the old one did on the old. */
  axleForTheSame: z.number(),
  /** Driven teeth of the speedometer want to be so many times as many. */
  drivenTeethFactor: z.number(),
});
export type Change = z.infer<typeof changeOutput>;

/**
 * What another tyre, axle or top gear does to the speedometer and the engine. The speedometer is driven off
 * the gearbox output: tyre and axle change what it reads, the top gear does not. Output turns per km =
 * wheel turns per km · axle ratio; engine rpm = speed / 60 · output turns per km · top gear.
 * Errors in percent, positive reads high; speeds km/h.
 * @example 500 → 520 turns/km on the same axle → reads 4 % high, the engine turns 4 % faster
 */
export function drivelineChange({ before, after, readsNowPercent, speedsKmh }: z.output<typeof changeInput>): Change {
  const output = (each: z.output<typeof chain>) => each.turnsPerKm * each.axleRatio;
  const rpm = (each: z.output<typeof chain>, kmh: number) => (kmh / 60) * output(each) * each.topGearRatio;
  const factor = output(after) / output(before);
  const [now, then] = [1 + readsNowPercent / 100, (1 + readsNowPercent / 100) * factor];
  return {
    readsAfterPercent: 100 * (then - 1),
    driftPer1000: 1000 * (then - 1),
    shown: speedsKmh.map((trueKmh) => ({ trueKmh, before: trueKmh * now, after: trueKmh * then })),
    engine: speedsKmh.map((trueKmh) => ({ trueKmh, rpmBefore: rpm(before, trueKmh), rpmAfter: rpm(after, trueKmh) })),
    engineChangePercent: 100 * (rpm(after, 60) / rpm(before, 60) - 1),
    axleForTheSame: (before.axleRatio * before.turnsPerKm) / after.turnsPerKm,
    drivenTeethFactor: factor,
  };
}
