import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { measured } from '../quantity/measured.ts';
import { nearestOneStage, nearestTwoStages, stageOf, type Stage } from './nearestTrains.ts';
import { MOST_MODULE_MM, MOST_TEETH, countUpTo, lengthMm, positiveUpTo } from '../quantity/bounds.ts';

const counts = z.array(countUpTo(MOST_TEETH)).min(1).max(300);

export const inferInput = z.strictObject({
  inputTurns: measured,
  outputTurns: measured,
  stages: z.union([z.literal(1), z.literal(2)]),
  teethRange: z.tuple([z.int().min(1).max(500), z.int().min(1).max(500)]).default([8, 80]),
  worm: z.boolean().default(false),
  most: z.int().min(1).max(200).default(10),
  /** Counts that exist: others are left out. */
  available: counts.optional(),
  /** Shafts that far apart, with gears of this module: only pairs that reach it within what a shift can make up. */
  centre: z.strictObject({ distanceMm: lengthMm, normalModuleMm: positiveUpTo(MOST_MODULE_MM) }).optional(),
});

export const inferOutput = z.object({
  candidates: z.array(
    z.object({
      stages: z.array(z.object({ driver: z.number(), driven: z.number() })),
      reduction: z.number(),
      errorSigma: z.number(),
      probability: z.number(),
    }),
  ),
  reduction: z.object({ value: z.number(), plusMinus: z.number() }),
});

const MOST_STARTS = 6;
/** Counting is never surer than a few degrees of a turn. */
const FINEST_TURNS = 0.01;
/** How far profile shift can make up for a centre distance, in modules. */
const CENTRE_FREEDOM = 0.6;

/**
 * Which tooth counts explain that so many turns here gave so many there. Nearest trains first, each with
 * how many standard deviations it lies off the counted reduction, and its chance among those listed
 * (equal before counting). A worm drives the last stage with its starts. Exact: see `nearestTwoStages`.
 * Turns with their ±, one standard deviation; the counts of a first stage of a worm train run over the range.
 *
 * @throws CoreFailure where nothing turned, or the range is the wrong way round
 * @example 37.0 ± 0.1 turns in, 10.0 ± 0.1 out, one stage → 10 and 37 among the best
 */
export function inferRatio(input: z.output<typeof inferInput>): z.infer<typeof inferOutput> {
  const { inputTurns, outputTurns, teethRange, most } = input;
  for (const [name, turns] of [
    ['inputTurns', inputTurns],
    ['outputTurns', outputTurns],
  ] as const) {
    if (turns.value === 0) throw fail('impossibleGeometry', name, { reason: 'nothingTurned' });
  }
  if (teethRange[0] > teethRange[1]) throw fail('contradiction', 'teethRange', { reason: 'fewestFirst' });
  const value = Math.abs(inputTurns.value / outputTurns.value);
  const share = (turns: { value: number; plusMinus: number }) => Math.max(turns.plusMinus, FINEST_TURNS) / Math.abs(turns.value);
  const relative = Math.hypot(share(inputTurns), share(outputTurns));
  const found = input.stages === 1 ? nearestOneStage(stagesOf(input, input.worm), value, most) : twoStages(input, value);
  const weighed = found.map((train) => {
    const errorSigma = (train.reduction / value - 1) / relative;
    return { train, errorSigma, weight: Math.exp(-0.5 * errorSigma ** 2) };
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return {
    reduction: { value, plusMinus: value * relative },
    candidates: weighed.map(({ train, errorSigma, weight }) => ({
      stages: train.stages.map(({ driver, driven }) => ({ driver, driven })),
      reduction: train.reduction,
      errorSigma,
      probability: total > 0 ? weight / total : 1 / weighed.length,
    })),
  };
}

function twoStages(input: z.output<typeof inferInput>, wanted: number) {
  const spurs = stagesOf(input, false);
  return nearestTwoStages(spurs, input.worm ? stagesOf(input, true) : spurs, { wanted, most: input.most });
}

/** Every pair within the range that exists and reaches the centre distance. */
function stagesOf({ teethRange: [low, high], available, centre }: z.output<typeof inferInput>, worm: boolean): readonly Stage[] {
  const exist = available && new Set(available);
  const teeth = Array.from({ length: high - low + 1 }, (_, i) => low + i).filter((each) => !exist || exist.has(each));
  const drivers = worm ? Array.from({ length: MOST_STARTS }, (_, i) => i + 1) : teeth;
  const list = drivers.flatMap((driver) => teeth.map((driven) => stageOf(driver, driven)));
  if (worm || !centre) return list;
  return list.filter(({ driver, driven }) => {
    const off = Math.abs((centre.normalModuleMm * (driver + driven)) / 2 - centre.distanceMm);
    return off <= CENTRE_FREEDOM * centre.normalModuleMm;
  });
}
