import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { KM_PER_MILE } from '../quantity/distance.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

const teeth = z.int().positive().max(300);

export const takeoffInput = z.strictObject({
  driveTeeth: z.array(teeth).min(1).max(60),
  drivenTeeth: z.array(teeth).min(1).max(120),
  pairsAllowed: z
    .array(z.tuple([teeth, teeth]))
    .max(5000)
    .optional(),
  axleRatio: z.number().positive().max(50),
  turnsPerMile: positiveUpTo(100_000).optional(),
  turnsPerKm: positiveUpTo(100_000).optional(),
  cableTurnsPerMile: positiveUpTo(100_000).optional(),
  cableTurnsPerKm: positiveUpTo(100_000).optional(),
  rule: z.enum(['nearest', 'neverLow', 'keepDrive']).default('nearest'),
  /** The drive gear that is in: of pairs that read alike the one that keeps it comes first. */
  keepDriveTeeth: teeth.optional(),
});

export const takeoffOutput = z.object({
  exactDrivenTeeth: z.array(z.object({ driveTeeth: z.number(), drivenTeeth: z.number() })),
  options: z.array(
    z.object({
      driveTeeth: z.number(),
      drivenTeeth: z.number(),
      readingErrorPercent: z.number(),
      /** How far the odometer runs ahead (or, below nought, behind) in a true thousand. */
      driftPer1000: z.number(),
    }),
  ),
  /** Whether any pair keeps the rule; where none does, the options are the nearest to it. */
  ruleKept: z.boolean(),
});
export type Takeoff = z.infer<typeof takeoffOutput>;
type Option = Takeoff['options'][number];

/**
 * Every pair of drive and driven gear that exists for this housing, with how far the speedometer reads off:
 * cable turns per distance = wheel turns · axle ratio · drive / driven, over what the instrument wants.
 * Positive reads high. Best by the rule first: nearest; never low (pairs that read low come last); keep the
 * drive gear (others come last); `ruleKept` says where none keeps it. Of equals the drive gear that is in comes first.
 * @throws CoreFailure where a turns figure is missing or given twice, or no pair is left
 * @example drive 7, driven 18, axle 3.73, 500 turns/km, cable 621.4/km → exactDrivenTeeth 21.0
 */
export function takeoffPairs(input: z.output<typeof takeoffInput>): Takeoff {
  const wheel = perKm({ km: input.turnsPerKm, mile: input.turnsPerMile, kmField: 'turnsPerKm', mileField: 'turnsPerMile' });
  const cable = perKm({
    km: input.cableTurnsPerKm,
    mile: input.cableTurnsPerMile,
    kmField: 'cableTurnsPerKm',
    mileField: 'cableTurnsPerMile',
  });
  const { rule, keepDriveTeeth, axleRatio } = input;
  if (rule === 'keepDrive' && keepDriveTeeth === undefined) throw fail('missing', 'keepDriveTeeth');
  const shaft = (wheel * axleRatio) / cable;
  const allowed = input.pairsAllowed && new Set(input.pairsAllowed.map(([drive, driven]) => `${drive}/${driven}`));
  const drives = [...new Set(input.driveTeeth)].sort((p, q) => p - q);
  const options = drives
    .flatMap((driveTeeth) => [...new Set(input.drivenTeeth)].map((drivenTeeth) => ({ driveTeeth, drivenTeeth })))
    .filter(({ driveTeeth, drivenTeeth }) => !allowed || allowed.has(`${driveTeeth}/${drivenTeeth}`))
    .map((pair) => {
      const readingErrorPercent = 100 * ((shaft * pair.driveTeeth) / pair.drivenTeeth - 1);
      return { ...pair, readingErrorPercent, driftPer1000: 10 * readingErrorPercent };
    });
  if (options.length === 0) throw fail('nothingGiven', 'pairsAllowed', { reason: 'noPairFitsHousing' });
  // Rounding must not make a pair that is exact read low.
  const last = (each: Option) =>
    (rule === 'neverLow' && each.readingErrorPercent < -1e-9) || (rule === 'keepDrive' && each.driveTeeth !== keepDriveTeeth) ? 1 : 0;
  const nearness = (p: Option, q: Option) => {
    const apart = Math.abs(p.readingErrorPercent) - Math.abs(q.readingErrorPercent);
    return Math.abs(apart) < 1e-9 ? 0 : apart;
  };
  const notIn = ({ driveTeeth }: Option) => (driveTeeth === keepDriveTeeth ? 0 : 1);
  return {
    exactDrivenTeeth: drives.map((driveTeeth) => ({ driveTeeth, drivenTeeth: driveTeeth * shaft })),
    options: options.sort((p, q) => last(p) - last(q) || nearness(p, q) || notIn(p) - notIn(q) || p.driveTeeth - q.driveTeeth),
    ruleKept: options.some((each) => last(each) === 0),
  };
}

interface PerKmOptions {
  readonly km: number | undefined;
  readonly mile: number | undefined;
  readonly kmField: string;
  readonly mileField: string;
}

function perKm({ km, mile, kmField, mileField }: PerKmOptions): number {
  if (km === undefined && mile === undefined) throw fail('missing', kmField, { or: mileField });
  if (km !== undefined && mile !== undefined) throw fail('contradiction', mileField, { reason: 'kmOrMile' });
  return km ?? (mile as number) / KM_PER_MILE;
}
