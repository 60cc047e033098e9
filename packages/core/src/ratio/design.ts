import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { nearestOneStage, nearestTwoStages, stageOf } from './nearestTrains.ts';
import { MOST_MODULE_MM, lengthMm, positiveUpTo } from '../quantity/bounds.ts';

/** Of so many gears every pair is looked at, and every two pairs where there are two stages. */
const MOST_GEARS = 400;

export const designInput = z.strictObject({
  reduction: z.number().positive().max(1e5),
  stages: z.union([z.literal(1), z.literal(2)]),
  /** Gears that can be had: teeth and module; only alike modules mesh. */
  gears: z
    .array(z.strictObject({ teeth: z.int().positive().max(2000), normalModuleMm: positiveUpTo(MOST_MODULE_MM) }))
    .min(2)
    .max(MOST_GEARS),
  centreDistanceMm: lengthMm.optional(),
  /** How far profile shift or a slot can make up for the distance. */
  centrePlusMinusMm: positiveUpTo(1000).default(0.3),
  withinPercent: z.number().positive().max(100).default(5),
  most: z.int().min(1).max(200).default(10),
});
export const designOutput = z.object({
  trains: z.array(
    z.object({
      stages: z.array(z.object({ driver: z.number(), driven: z.number(), normalModuleMm: z.number(), centreDistanceMm: z.number() })),
      reduction: z.number(),
      errorPercent: z.number(),
    }),
  ),
});

/**
 * Trains of one or two stages from gears that can be had, nearest to a wanted reduction; with a centre
 * distance every stage has to keep it. Exact search (see `nearestTwoStages`). Lengths mm.
 * @throws CoreFailure where no pair of the gears keeps the centre distance
 * @example reduction 12 in two stages from 12, 15, 36, 48 teeth of module 1 → 12:36 and 12:48
 */
export function designTrains(input: z.output<typeof designInput>): z.infer<typeof designOutput> {
  const modules = [...new Set(input.gears.map(({ normalModuleMm }) => normalModuleMm))];
  const stages = modules.flatMap((normalModuleMm) => {
    const teeth = [...new Set(input.gears.filter((each) => each.normalModuleMm === normalModuleMm).map((each) => each.teeth))];
    return teeth.flatMap((driver) =>
      teeth.map((driven) => ({ ...stageOf(driver, driven), normalModuleMm, centreDistanceMm: (normalModuleMm * (driver + driven)) / 2 })),
    );
  });
  const { centreDistanceMm: wanted, centrePlusMinusMm } = input;
  const kept = wanted === undefined ? stages : stages.filter((each) => Math.abs(each.centreDistanceMm - wanted) <= centrePlusMinusMm);
  if (kept.length === 0) throw fail('impossibleGeometry', 'centreDistanceMm', { reason: 'noPairAtCentreDistance' });
  const found =
    input.stages === 1
      ? nearestOneStage(kept, input.reduction, input.most)
      : nearestTwoStages(kept, kept, { wanted: input.reduction, most: input.most });
  return {
    trains: found
      .map((train) => ({
        stages: train.stages.map((stage) => {
          const { driver, driven, normalModuleMm, centreDistanceMm } = stage as (typeof kept)[number];
          return { driver, driven, normalModuleMm, centreDistanceMm };
        }),
        reduction: train.reduction,
        errorPercent: 100 * (train.reduction / input.reduction - 1),
      }))
      .filter(({ errorPercent }) => Math.abs(errorPercent) <= input.withinPercent),
  };
}
