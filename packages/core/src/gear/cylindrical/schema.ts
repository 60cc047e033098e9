import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { MM_PER_INCH } from '../../quantity/length.ts';

export const shared = {
  normalModuleMm: z.number().positive().optional(),
  diametralPitch: z.number().positive().optional(),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  helixAngleDeg: z.number().gt(-60).lt(60).default(0),
};

export const cylindricalInput = z.strictObject({
  teeth: z.int().min(4).max(2000),
  ...shared,
  profileShift: z.number().min(-2).max(3).default(0),
  addendumCoefficient: z.number().positive().max(2).default(1),
  dedendumCoefficient: z.number().positive().max(3).default(1.25),
  toothThinningMm: z.number().min(0).default(0),
  spanTeeth: z.int().positive().optional(),
  pinDiameterMm: z.number().positive().optional(),
  faceWidthMm: z.number().positive().optional(),
});
export type CylindricalInput = z.infer<typeof cylindricalInput>;

/** The normal module, from the one of the two that was given: m = 25.4 / DP. @throws CoreFailure where neither was, or both and they differ */
export function moduleFrom(
  { normalModuleMm, diametralPitch }: { normalModuleMm?: number | undefined; diametralPitch?: number | undefined },
  path = '',
): number {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  if (normalModuleMm === undefined && diametralPitch === undefined) throw fail('missing', at('normalModuleMm'), { or: 'diametralPitch' });
  if (diametralPitch === undefined) return normalModuleMm as number;
  const fromPitch = MM_PER_INCH / diametralPitch;
  if (normalModuleMm !== undefined && Math.abs(normalModuleMm - fromPitch) > 1e-6 * fromPitch) {
    throw fail('contradiction', at('diametralPitch'), {
      why: `${diametralPitch} DP is module ${fromPitch.toFixed(4)}, not ${normalModuleMm}. Give one of the two.`,
    });
  }
  return fromPitch;
}
