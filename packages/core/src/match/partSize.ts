import { fail } from '../failure/CoreFailure.ts';
import { moduleOfPitch } from '../quantity/length.ts';
import { plain } from '../quantity/measured.ts';
import type { PartAttributes } from './schema.ts';

type SizeFields = Pick<PartAttributes, 'axialModuleMm' | 'normalModuleMm' | 'diametralPitch'>;

/**
 * The size that a part is found and judged by: its module in mm, a worm's along its axis, however it was
 * given; null where the part does not say. The one place where module and diametral pitch meet.
 * @example partSizeMm({ diametralPitch: 24 }) // 1.0583…
 */
export const partSizeMm = ({ axialModuleMm, normalModuleMm, diametralPitch }: SizeFields): number | null =>
  plain(axialModuleMm ?? normalModuleMm) ?? (diametralPitch === undefined ? null : moduleOfPitch(diametralPitch));

/** Whether a size counts along the axis: of a worm, and of what is compared with one. */
const isAlongAxis = (gears: readonly PartAttributes[]): boolean =>
  gears.some(({ type, axialModuleMm }) => type === 'worm' || axialModuleMm !== undefined);

/**
 * Gears that are compared, their sizes said as modules. A diametral pitch that was given besides is left out: it
 * says the same. Where one of them is a worm a pitch of the other counts along the axis too, though it does not say its kind.
 */
export function inModules<Gears extends readonly PartAttributes[]>(...gears: Gears): { [K in keyof Gears]: PartAttributes } {
  const alongAxis = isAlongAxis(gears);
  return gears.map((gear) => {
    const { diametralPitch, ...rest } = gear;
    const sizeMm = partSizeMm(gear);
    if (diametralPitch === undefined || sizeMm === null) return gear;
    return alongAxis ? { axialModuleMm: sizeMm, ...rest } : { normalModuleMm: sizeMm, ...rest };
  }) as { [K in keyof Gears]: PartAttributes };
}

/** A size given twice, as module and as pitch, that is not one size. */
const SAME_SIZE = 0.006;

/** @throws CoreFailure where a gear gives a module and a diametral pitch of another size */
export function checkSize(gear: PartAttributes, path: string): void {
  const { axialModuleMm, normalModuleMm, diametralPitch } = gear;
  const given = axialModuleMm ?? normalModuleMm;
  if (given === undefined || diametralPitch === undefined) return;
  const module = moduleOfPitch(diametralPitch);
  const off = Math.abs(plain(given) - module);
  if (off > Math.max(SAME_SIZE * module, typeof given === 'object' ? 3 * given.plusMinus : 0)) {
    throw fail('contradiction', `${path}.diametralPitch`, { reason: 'pitchAgainstModule', diametralPitch, module, given: plain(given) });
  }
}
