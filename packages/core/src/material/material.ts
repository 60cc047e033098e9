import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { CURVES, CURVES_END_C, MATERIAL_IDS, MATERIALS, shareAt, type Material, type MaterialId } from './materials.ts';

const given = z.strictObject({
  youngsModulusMPa: z.number().min(1).max(1e6),
  poissonRatio: z.number().min(0).max(0.499),
  yieldMPa: z.number().min(0.01).max(1e5),
  expansionPerK: z.number().min(-1e-3).max(1e-3),
});

/** A built-in material by its id, or figures off its sheet (MPa, per kelvin). */
export const material = z.union([z.enum(MATERIAL_IDS as [MaterialId, ...MaterialId[]]), given]);
export type MaterialSpec = z.infer<typeof material>;

/** Softer than any metal: it creeps, whatever its sheet calls it. */
const PLASTIC_BELOW_MPA = 15_000;

export interface MaterialAt extends Omit<Material, 'source' | 'plastic' | 'soft' | 'limitC'> {
  /** Above it nothing is said of it, °C; none where it is off a sheet that does not say. */
  readonly limitC: number | null;
  readonly isPlastic: boolean;
  readonly isSoft: boolean;
  /** From the built-in table, not off a sheet. */
  readonly isGuide: boolean;
}

/**
 * The figures that hold at a temperature in °C: a built-in plastic has lost some stiffness and strength by then.
 * @throws CoreFailure at `temperatureC` where its curves end
 */
export function materialAt(asked: MaterialSpec, temperatureC: number): MaterialAt {
  if (typeof asked !== 'string') {
    const isPlastic = asked.youngsModulusMPa < PLASTIC_BELOW_MPA;
    return { ...asked, limitC: null, isPlastic, isSoft: false, isGuide: false };
  }
  const { source: _, plastic, soft, ...figures }: Material = MATERIALS[asked];
  const curve = CURVES[asked];
  if (curve && temperatureC > CURVES_END_C) throw fail('outOfRange', 'temperatureC', { maximum: CURVES_END_C, given: temperatureC });
  return {
    ...figures,
    ...(curve && {
      youngsModulusMPa: figures.youngsModulusMPa * shareAt(curve.stiffness, temperatureC),
      yieldMPa: figures.yieldMPa * shareAt(curve.strength, temperatureC),
    }),
    isPlastic: plastic ?? false,
    isSoft: soft ?? false,
    isGuide: true,
  };
}
