import { moduleOfPitch } from '../quantity/length.ts';
import { plain } from '../quantity/measured.ts';
import type { GearAttributes } from './schema.ts';

type Sized = Pick<GearAttributes, 'axialModuleMm' | 'normalModuleMm' | 'diametralPitch'>;

/**
 * The size that a part is found and judged by: its module in mm, a worm's along its axis, however it was
 * given; null where the part does not say. The one place where module and diametral pitch meet.
 * @example partSizeMm({ diametralPitch: 24 }) // 1.0583…
 */
export const partSizeMm = ({ axialModuleMm, normalModuleMm, diametralPitch }: Sized): number | null =>
  plain(axialModuleMm ?? normalModuleMm) ?? (diametralPitch === undefined ? null : moduleOfPitch(diametralPitch));

/** The same gear with its size said as a module. A diametral pitch that was given besides is left out: it says the same. */
export function inModules(gear: GearAttributes): GearAttributes {
  const { diametralPitch, ...rest } = gear;
  const sizeMm = partSizeMm(gear);
  if (diametralPitch === undefined || sizeMm === null) return gear;
  return gear.type === 'worm' ? { axialModuleMm: sizeMm, ...rest } : { normalModuleMm: sizeMm, ...rest };
}
