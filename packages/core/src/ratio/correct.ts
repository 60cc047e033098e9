import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { KM_PER_MILE } from '../quantity/distance.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

export const correctInput = z.strictObject({
  /** What the drums show now, and what was driven while they stood still; in the unit of the drums. */
  reading: z.number().min(0).max(1e7),
  missed: z.number().min(-1e7).max(1e7),
  unit: z.enum(['km', 'mile']).default('km'),
  /** Turns of the gear or cable that is driven, for one unit on the drums. */
  turnsPerUnit: positiveUpTo(100_000).optional(),
  cableTurnsPerKm: positiveUpTo(100_000).optional(),
  cableTurnsPerMile: positiveUpTo(100_000).optional(),
  /** How fast it is turned. */
  handRpm: z.number().positive().max(1000).default(60),
  drillRpm: z.number().positive().max(20_000).default(1500),
  /** Digits of the drums before the point. */
  digits: z.int().min(3).max(7).default(6),
});

export const correctOutput = z.object({
  turns: z.number(),
  minutesByHand: z.number(),
  minutesByDrill: z.number(),
  newReading: z.number(),
  disclosure: z.object({ before: z.number(), after: z.number(), missed: z.number(), unit: z.string() }),
});
export type Correction = z.infer<typeof correctOutput>;

/**
 * Turns and minutes that bring an odometer forward by what it missed. Forward only: setting one back is not
 * worked out. What is shown before and after belongs on the disclosure sheet; local law decides.
 * @throws CoreFailure where the distance is nought or backward, or the drums would run over
 * @example 120 km missed, cable 621.4 turns per km → 74,568 turns, 49.7 minutes at 1,500 a minute
 */
export function odometerCorrection(input: z.output<typeof correctInput>): Correction {
  const { reading, missed, unit, handRpm, drillRpm, digits } = input;
  if (missed <= 0)
    throw fail('invalid', 'missed', {
      reason: 'odometerNeverBack',
    });
  const newReading = reading + missed;
  if (newReading >= 10 ** digits) throw fail('impossibleGeometry', 'missed', { reason: 'odometerRunsOver' });
  const turns = missed * turnsPerUnit(input);
  return {
    turns,
    minutesByHand: turns / handRpm,
    minutesByDrill: turns / drillRpm,
    newReading,
    disclosure: {
      before: reading,
      after: newReading,
      missed,
      unit,
    },
  };
}

function turnsPerUnit({ turnsPerUnit: direct, cableTurnsPerKm, cableTurnsPerMile, unit }: z.output<typeof correctInput>): number {
  if (direct !== undefined) return direct;
  const perKm = cableTurnsPerKm ?? (cableTurnsPerMile === undefined ? undefined : cableTurnsPerMile / KM_PER_MILE);
  if (perKm === undefined) throw fail('missing', 'turnsPerUnit', { or: 'cableTurnsPerKm' });
  return unit === 'km' ? perKm : perKm * KM_PER_MILE;
}
