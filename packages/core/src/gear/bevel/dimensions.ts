import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { degrees, radians } from '../../quantity/angle.ts';
import { MOST_MODULE_MM, lengthMm, positiveUpTo } from '../../quantity/bounds.ts';

export const bevelInput = z.strictObject({
  pinionTeeth: z.int().min(4).max(1000),
  wheelTeeth: z.int().min(4).max(1000),
  outerModuleMm: positiveUpTo(MOST_MODULE_MM),
  shaftAngleDeg: z.number().positive().lt(180).default(90),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  faceWidthMm: lengthMm.optional(),
});
export type BevelInput = z.infer<typeof bevelInput>;

export const bevelOutput = z.object({
  ratio: z.number(),
  pinionConeAngleDeg: z.number(),
  wheelConeAngleDeg: z.number(),
  outerConeDistanceMm: z.number(),
  pinionOuterPitchDiameterMm: z.number(),
  wheelOuterPitchDiameterMm: z.number(),
  pinionOuterTipDiameterMm: z.number(),
  wheelOuterTipDiameterMm: z.number(),
  pinionVirtualTeeth: z.number(),
  wheelVirtualTeeth: z.number(),
  meanModuleMm: z.number().optional(),
});
export type BevelDimensions = z.infer<typeof bevelOutput>;

/**
 * A pair of straight bevel gears from their teeth, outer module and shaft angle. Lengths mm at the
 * outer end, angles degrees; addendum one module. Virtual teeth are those of the back cone (Tredgold).
 * With a face width also the module at its middle.
 *
 * Sources: ISO 23509 (bevel gear geometry, straight, no offset); Tredgold's approximation in Buckingham.
 * @throws CoreFailure where a cone would open beyond 90° on a wheel that cannot mesh, or the face is wider than the cone is long
 * @example { pinionTeeth: 20, wheelTeeth: 40, outerModuleMm: 3 } → cone angles 26.565° and 63.435°, cone distance 67.08 mm
 */
export function bevelDimensions(input: BevelInput): BevelDimensions {
  const { pinionTeeth: z1, wheelTeeth: z2, outerModuleMm: m, faceWidthMm } = input;
  const [pinionCone, wheelCone] = coneAngles(z1, z2, input.shaftAngleDeg);
  const cone = (m * z1) / (2 * Math.sin(pinionCone));
  if (faceWidthMm !== undefined && faceWidthMm >= cone) {
    throw fail('impossibleGeometry', 'faceWidthMm', {
      reason: 'faceLongerThanCone',
      coneMm: cone,
    });
  }
  return {
    ratio: z2 / z1,
    pinionConeAngleDeg: degrees(pinionCone),
    wheelConeAngleDeg: degrees(wheelCone),
    outerConeDistanceMm: cone,
    pinionOuterPitchDiameterMm: m * z1,
    wheelOuterPitchDiameterMm: m * z2,
    pinionOuterTipDiameterMm: m * z1 + 2 * m * Math.cos(pinionCone),
    wheelOuterTipDiameterMm: m * z2 + 2 * m * Math.cos(wheelCone),
    pinionVirtualTeeth: z1 / Math.cos(pinionCone),
    wheelVirtualTeeth: z2 / Math.cos(wheelCone),
    ...(faceWidthMm === undefined ? {} : { meanModuleMm: (m * (cone - faceWidthMm / 2)) / cone }),
  };
}

/** Cone angles of pinion and wheel, radians. @throws CoreFailure where one of them would not be a cone any more */
export function coneAngles(pinionTeeth: number, wheelTeeth: number, shaftAngleDeg: number): readonly [number, number] {
  const shafts = radians(shaftAngleDeg);
  const pinion = Math.atan2(Math.sin(shafts), wheelTeeth / pinionTeeth + Math.cos(shafts));
  const wheel = shafts - pinion;
  if (wheel >= Math.PI / 2 || pinion >= Math.PI / 2) {
    throw fail('impossibleGeometry', 'shaftAngleDeg', {
      reason: 'noStraightBevel',
    });
  }
  return [pinion, wheel];
}
