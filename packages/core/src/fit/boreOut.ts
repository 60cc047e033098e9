import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt } from '../material/material.ts';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';

export const boreOutInput = z.strictObject({
  shaftDiameterMm: lengthMm,
  /** On the diameter; below nought: an interference. */
  gapMm: z.number().min(-10).max(50),
  boreNowMm: z.number().min(0).max(100_000),
  rootDiameterMm: lengthMm,
  toleranceMm: positiveUpTo(5).default(0.01),
  minimumWallMm: z.number().min(0).max(1000).optional(),
});
export const boreOutOutput = z.object({
  boreDiameterMm: z.number(),
  removeMm: z.number(),
  goMm: z.number(),
  noGoMm: z.number(),
  wallMm: z.number(),
  warnings: z.array(z.enum(['nothingToRemove', 'wallTooThin'])),
});

/**
 * A bore opened out for a shaft, for a gap or an interference. All on diameters, mm; go and no-go are the two ends of
 * the plug gauge that checks it. The wall is what is left below the roots.
 * @throws CoreFailure where the bore, as it is or as wide as it would be taken, goes through the roots, or nothing is left of it
 * @example shaft 12, gap 0.05, bore 11.5, root 20 → bore 12.05, 0.55 to take, go 12.04, no-go 12.06, wall 3.975
 */
export function boreOut(input: z.infer<typeof boreOutInput>): z.infer<typeof boreOutOutput> {
  const { shaftDiameterMm, gapMm, boreNowMm, rootDiameterMm, toleranceMm, minimumWallMm = 0 } = input;
  const boreDiameterMm = shaftDiameterMm + gapMm;
  if (boreDiameterMm - toleranceMm <= 0)
    throw fail('outOfRange', 'gapMm', { minimum: toleranceMm - shaftDiameterMm, maximum: 50, given: gapMm });
  if (boreNowMm >= rootDiameterMm) throw fail('impossibleGeometry', 'boreNowMm', { reason: 'boreThroughRoots', mostMm: rootDiameterMm });
  // As wide as the gauge still lets it be.
  if (boreDiameterMm + toleranceMm >= rootDiameterMm)
    throw fail('impossibleGeometry', 'shaftDiameterMm', { reason: 'boreThroughRoots', mostMm: rootDiameterMm });
  const removeMm = boreDiameterMm - boreNowMm;
  const wallMm = (rootDiameterMm - boreDiameterMm) / 2;
  return {
    boreDiameterMm,
    removeMm,
    goMm: boreDiameterMm - toleranceMm,
    noGoMm: boreDiameterMm + toleranceMm,
    wallMm,
    warnings: [...(removeMm <= 0 ? (['nothingToRemove'] as const) : []), ...(wallMm < minimumWallMm ? (['wallTooThin'] as const) : [])],
  };
}

export const stakeInput = z.strictObject({
  shaftDiameterMm: lengthMm,
  boreNowMm: lengthMm,
  /** What it shall hold by, on the diameter. */
  wantedInterferenceMm: positiveUpTo(1),
  material,
});
export const stakeOutput = z.object({
  closeByMm: z.number(),
  boreDiameterMm: z.number(),
  warnings: z.array(z.enum(['notSoft', 'tooMuchToClose', 'nothingToClose', 'closesUnevenly'])),
});

/** Punch marks round a bore close it by a few hundredths of a millimetre and no more (bench rule of thumb). */
const MOST_BY_STAKING_MM = 0.15;

/** A loose bore closed by staking round it: by how much, whether this material takes it, and that it is tried by hand for free turning. @throws CoreFailure where it would hold by more than the shaft is wide */
export function stake({
  shaftDiameterMm,
  boreNowMm,
  wantedInterferenceMm,
  material: of,
}: z.infer<typeof stakeInput>): z.infer<typeof stakeOutput> {
  const boreDiameterMm = shaftDiameterMm - wantedInterferenceMm;
  if (boreDiameterMm <= 0)
    throw fail('outOfRange', 'wantedInterferenceMm', { minimum: 0, maximum: shaftDiameterMm, given: wantedInterferenceMm });
  const closeByMm = boreNowMm - boreDiameterMm;
  return {
    closeByMm,
    boreDiameterMm,
    warnings: [
      ...(materialAt(of, 20).isSoft ? [] : (['notSoft'] as const)),
      ...(closeByMm > MOST_BY_STAKING_MM ? (['tooMuchToClose'] as const) : []),
      ...(closeByMm <= 0 ? (['nothingToClose'] as const) : []),
      'closesUnevenly',
    ],
  };
}
