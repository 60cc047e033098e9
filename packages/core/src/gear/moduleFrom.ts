import { fail } from '../failure/CoreFailure.ts';
import { MOST_DIAMETRAL_PITCH, MOST_MODULE_MM } from '../quantity/bounds.ts';
import { moduleOfPitch } from '../quantity/length.ts';

/** The normal module, from the one of the two that was given: m = 25.4 / DP. @throws CoreFailure where neither was, or both and they differ */
export function moduleFrom(
  { normalModuleMm, diametralPitch }: { normalModuleMm?: number | undefined; diametralPitch?: number | undefined },
  path = '',
): number {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  if (normalModuleMm === undefined && diametralPitch === undefined) throw fail('missing', at('normalModuleMm'), { or: 'diametralPitch' });
  if (diametralPitch === undefined) return normalModuleMm as number;
  const fromPitch = moduleOfPitch(diametralPitch);
  // The same bound whichever of the two is given.
  if (fromPitch > MOST_MODULE_MM)
    throw fail('outOfRange', at('diametralPitch'), {
      minimum: moduleOfPitch(MOST_MODULE_MM),
      maximum: MOST_DIAMETRAL_PITCH,
      given: diametralPitch,
    });
  if (normalModuleMm !== undefined && Math.abs(normalModuleMm - fromPitch) > 1e-6 * fromPitch) {
    throw fail('contradiction', at('diametralPitch'), {
      reason: 'pitchAgainstModule',
      diametralPitch,
      module: fromPitch,
      given: normalModuleMm,
    });
  }
  return fromPitch;
}
