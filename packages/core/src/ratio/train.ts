import { z } from 'zod';

const teeth = z.int().positive().max(5000);

export const trainInput = z.strictObject({
  stages: z
    .array(
      z.union([
        z.strictObject({ driverTeeth: teeth, drivenTeeth: teeth }),
        z.strictObject({ starts: z.int().positive().max(12), drivenTeeth: teeth }),
      ]),
    )
    .min(1)
    .max(20),
});
export const trainOutput = z.object({ ratio: z.number(), reduction: z.number() });

/**
 * Ratio of a train of gears: `reduction` is driver turns per output turn, `ratio` output turns per driver
 * turn. A worm drives with its starts. Source: ISO 1122-1 (reduction as the quotient of speeds).
 * @example 10:40, then a worm of one start on 30 → reduction 120
 */
export function gearTrain({ stages }: z.output<typeof trainInput>): z.infer<typeof trainOutput> {
  const reduction = stages.reduce((product, each) => (product * each.drivenTeeth) / ('starts' in each ? each.starts : each.driverTeeth), 1);
  return { ratio: 1 / reduction, reduction };
}
