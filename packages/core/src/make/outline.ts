import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { checked } from '../gear/cylindrical/dimensions.ts';
import { generatedTooth, type FlankPoint } from '../gear/cylindrical/generated.ts';
import { cutOf, profileOf } from '../gear/cylindrical/profile.ts';
import { cylindricalInput } from '../gear/cylindrical/schema.ts';
import { moduleFrom } from '../gear/moduleFrom.ts';
import { MOST_MODULE_MM } from '../quantity/bounds.ts';
import { boreGiven, checkBore, holeOf } from './bore.ts';
import { alongCurve, arc, crossesItself, offset, turned, withoutDoubles, type Point } from './polyline.ts';

/** More teeth than a printer or a wire makes in one piece. */
const MOST_MADE_TEETH = 400;
/** Finer than any machine of a shop, and coarser would no longer be the gear. mm */
const FINEST_MM = 0.0005;
/** Teeth finer than the finest of a watch are nothing that a file's tenth of a µm can hold. mm */
const FINEST_MODULE_MM = 0.02;
/** More corners than this no machine reads, and a body of them would take minutes. */
const MOST_CORNERS = 40_000;

export const madeGear = cylindricalInput
  .omit({ spanTeeth: true, pinDiameterMm: true })
  .extend({ teeth: z.int().min(4).max(MOST_MADE_TEETH) });

/** How wide a face can be made, mm. */
export const madeFaceWidth = z.number().min(0.1).max(1000);

/** A gear for no machine: the bench alone, and never within a job. */
export const NO_FAMILY = 'none';
export const madeFor = z.string().min(1).max(120);

export const outlineInput = z.strictObject({
  gear: madeGear,
  bore: boreGiven,
  allowance: z
    .strictObject({
      /** By how much it will shrink. */
      shrinkagePercent: z.number().min(0).max(10).default(0),
      /** How wide the tool cuts: the path runs half of it outside. */
      kerfMm: z.number().min(0).max(5).default(0),
      /** How high a printer's layer is: heights are whole layers. */
      layerMm: z.number().min(0.02).max(1).optional(),
    })
    .prefault({}),
  chordToleranceMm: z.number().min(FINEST_MM).max(0.5).default(0.005),
  /** The machine family that it is for; none where it is for no machine at all. */
  family: madeFor.default(NO_FAMILY),
});
export type OutlineInput = z.infer<typeof outlineInput>;

/** How many times larger it is drawn, for what it will shrink. */
export const growthOf = ({ shrinkagePercent }: OutlineInput['allowance']): number => 1 / (1 - shrinkagePercent / 100);

/** Rounding, of mm and of radians. */
const STRAYED_MM = 1e-9;

const polygon = z.array(z.tuple([z.number(), z.number()]));
export const outlineOutput = z.object({ outline: polygon, holes: z.array(polygon), deviationMm: z.number() });
export type Outline = z.infer<typeof outlineOutput>;

/**
 * The outline of a spur or helical gear in the transverse plane, as a rack with rounded tips cuts it: involute, root trochoid,
 * tip and root circles; with its bore. mm, counter-clockwise, a tooth's middle on +y, holes counter-clockwise too.
 * `deviationMm`: the furthest that any chord lies off the true curve, before allowances. Shrinkage draws everything out from the
 * centre; the kerf moves the outline out and the holes in by half of it.
 *
 * Sources: ISO 21771 (involute), ISO 53 profile A (rack), Litvin (meshing of rack and gear).
 * @throws CoreFailure where the module is finer than can be made, teeth are pointed or cross each other, the bore reaches the roots, the kerf closes a root's fillet
 *   or does not get into the bore, or it would have too many corners
 * @example 20 teeth of module 2, bore 10 → tips at 22 mm, roots at 17.5 mm
 */
export function gearOutlineToMake({ gear: asked, bore, allowance, chordToleranceMm }: OutlineInput): Outline {
  const normalModuleMm = moduleFrom(asked, 'gear');
  // Diametral pitches end before they are as fine as that.
  if (normalModuleMm < FINEST_MODULE_MM)
    throw fail('outOfRange', 'gear.normalModuleMm', { minimum: FINEST_MODULE_MM, maximum: MOST_MODULE_MM, given: normalModuleMm });
  const cut = cutOf({ ...asked, normalModuleMm });
  checked(cut, profileOf(cut), {}, 'gear');
  const tooth = generatedTooth(cut);
  const { profile, tipRadiusMm } = tooth;
  const rootRadius = profile.rootDiameterMm / 2;
  const hole = holeOf(bore, chordToleranceMm);
  checkBore(hole, rootRadius);
  if (allowance.kerfMm / 2 >= Math.max(tooth.roundingMm, FINEST_MM))
    throw fail('outOfRange', 'allowance.kerfMm', { minimum: 0, maximum: 2 * tooth.roundingMm, given: allowance.kerfMm });
  if (hole && allowance.kerfMm >= hole.narrowestMm)
    throw fail('outOfRange', 'allowance.kerfMm', { minimum: 0, maximum: hole.narrowestMm, given: allowance.kerfMm });
  const pitch = (2 * Math.PI) / cut.teeth;
  const upright = (half: number, radius: number, side: 1 | -1): Point => {
    const angle = Math.PI / 2 + side * half;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  };
  const curve = (of: (t: number) => FlankPoint, side: 1 | -1) => (t: number) => {
    const { radiusMm, halfAngle } = of(t);
    return upright(halfAngle, radiusMm, side);
  };
  // One tooth from the middle of the space on its right over the tip to the middle of the space on its left.
  const fillet = alongCurve(curve(tooth.fillet, -1), chordToleranceMm);
  const flank = alongCurve(curve(tooth.flank, -1), chordToleranceMm);
  const tipHalf = tooth.flank(1).halfAngle;
  const tip = arc(tipRadiusMm, [Math.PI / 2 - tipHalf, Math.PI / 2 + tipHalf], chordToleranceMm);
  const rootFrom = Math.PI / 2 - pitch / 2;
  const root = arc(rootRadius, [rootFrom, rootFrom + tooth.rootHalfAngle], chordToleranceMm);
  const right = [...root.points, ...fillet.points, ...flank.points.slice(1)];
  const left = [...right].reverse().map(([x, y]): Point => [-x, y]);
  // A rack that comes to a point before it is deep enough, or so few teeth cut so deep, leaves a line that is no tooth.
  const strays = right.some(([x, y]) => x < -STRAYED_MM || Math.atan2(x, y) > pitch / 2 + STRAYED_MM);
  if (strays || crossesItself(right)) throw fail('impossibleGeometry', 'gear.profileShift', { reason: 'teethCross' });
  const whole = [...right, ...tip.points.slice(1), ...left];
  if (whole.length * cut.teeth > MOST_CORNERS)
    throw fail('tooMany', 'chordToleranceMm', { maximum: MOST_CORNERS, given: whole.length * cut.teeth });
  const outline = withoutDoubles(Array.from({ length: cut.teeth }, (_, i) => i * pitch).flatMap((turn) => turned(whole, turn)));
  const grown = growthOf(allowance);
  const drawn = (list: readonly Point[], outwards: number): [number, number][] => {
    const moved = outwards === 0 ? list : offset(list, outwards);
    return moved.map(([x, y]) => [x * grown, y * grown]);
  };
  return {
    // What shrinks is drawn out first; the tool's width is no smaller for that.
    outline: drawn(outline, allowance.kerfMm / 2 / grown),
    holes: hole ? [drawn(hole.points, -allowance.kerfMm / 2 / grown)] : [],
    deviationMm: Math.max(fillet.deviationMm, flank.deviationMm, tip.deviationMm, root.deviationMm, hole?.deviationMm ?? 0),
  };
}
