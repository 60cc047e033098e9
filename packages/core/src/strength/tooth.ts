import { z } from 'zod';
import { checked } from '../gear/cylindrical/dimensions.ts';
import { inverseInvolute, involute } from '../gear/cylindrical/involute.ts';
import { cutOf, profileOf, type Profile } from '../gear/cylindrical/profile.ts';
import { shared } from '../gear/cylindrical/schema.ts';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt } from '../material/material.ts';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';
import { lewisFactor } from './lewis.ts';

const shift = z.number().min(-2).max(3).default(0);
const teeth = z.int().min(4).max(2000);

export const toothInput = z.strictObject({
  gear: z.strictObject({
    teeth,
    normalModuleMm: positiveUpTo(100),
    pressureAngleDeg: shared.pressureAngleDeg,
    helixAngleDeg: shared.helixAngleDeg,
    profileShift: shift,
    /** Normal, at the pitch circle: as made, or as worn. */
    toothThinningMm: z.number().min(0).max(300).default(0),
    faceWidthMm: lengthMm,
    material,
  }),
  mate: z.strictObject({ teeth, profileShift: shift, material }).optional(),
  torqueNm: positiveUpTo(1e7),
  temperatureC: z.number().min(-100).max(400).default(20),
});

export const toothOutput = z.object({
  tangentialForceN: z.number(),
  lewisFactor: z.number(),
  bendingStressMPa: z.number(),
  bendingUtilisation: z.number(),
  contactStressMPa: z.number().optional(),
  contactUtilisation: z.number().optional(),
  torqueCapacityNm: z.number(),
  limitedBy: z.enum(['bending', 'contact']),
  guide: z.boolean(),
});
export type ToothStrength = z.infer<typeof toothOutput>;

/** Surfaces in line contact begin to yield below the skin at so many times the yield strength (Johnson, Contact Mechanics, 4.2: Tresca). */
const YIELD_IN_CONTACT = 1.67;

/**
 * One tooth that carries the whole torque of its gear, statically: bending by Lewis with the load at the tip, contact at
 * the pitch point by Hertz where the mate is known. N·m, MPa, °C. The capacity is the torque at which the first of the two
 * reaches what the material bears at once; nothing is said of fatigue. `guide`: a figure of the built-in materials is in it.
 *
 * Sources: Lewis 1892 (Y = s²/6hm); ISO 6336-2 for Z_E and Z_H; Johnson for the contact limit.
 * @throws CoreFailure where the gear has no tooth left, or gear and mate never mesh
 * @example 20 teeth of module 2, 20 wide, steel, 20 N·m → 1000 N, about 80 MPa
 */
export function toothStrength({ gear, mate, torqueNm, temperatureC }: z.infer<typeof toothInput>): ToothStrength {
  const cut = cutOf({ ...gear, addendumCoefficient: 1, dedendumCoefficient: 1.25 });
  const profile = checked(cut, profileOf(cut), {}, 'gear');
  const own = materialAt(gear.material, temperatureC);
  const tangentialForceN = (2000 * torqueNm) / profile.pitchDiameterMm;
  const factor = lewisFactor({
    teeth: gear.teeth / Math.cos(cut.helixAngle) ** 3,
    pressureAngleDeg: gear.pressureAngleDeg,
    profileShift: gear.profileShift,
    thinning: gear.toothThinningMm / gear.normalModuleMm,
  });
  if (!(factor > 0)) throw fail('impossibleGeometry', 'gear.toothThinningMm', { reason: 'noToothLeft' });
  const bendingStressMPa = tangentialForceN / (gear.faceWidthMm * gear.normalModuleMm * factor);
  const bendingUtilisation = bendingStressMPa / own.yieldMPa;
  const bending = torqueNm / bendingUtilisation;
  const guide = own.isGuide || (mate !== undefined && materialAt(mate.material, temperatureC).isGuide);
  const common = { tangentialForceN, lewisFactor: factor, bendingStressMPa, bendingUtilisation, guide };
  if (!mate) return { ...common, torqueCapacityNm: bending, limitedBy: 'bending' };
  const other = materialAt(mate.material, temperatureC);
  const elastic = Math.sqrt(
    1 / (Math.PI * ((1 - own.poissonRatio ** 2) / own.youngsModulusMPa + (1 - other.poissonRatio ** 2) / other.youngsModulusMPa)),
  );
  const u = mate.teeth / gear.teeth;
  const contactStressMPa =
    elastic *
    zoneFactor(profile, {
      teeth: gear.teeth + mate.teeth,
      shifts: gear.profileShift + mate.profileShift,
      pressureAngle: cut.pressureAngle,
    }) *
    Math.sqrt((tangentialForceN * (u + 1)) / (profile.pitchDiameterMm * gear.faceWidthMm * u));
  const contactUtilisation = contactStressMPa / (YIELD_IN_CONTACT * own.yieldMPa);
  const contact = torqueNm / contactUtilisation ** 2;
  return {
    ...common,
    contactStressMPa,
    contactUtilisation,
    torqueCapacityNm: Math.min(bending, contact),
    limitedBy: bending <= contact ? 'bending' : 'contact',
  };
}

interface Pair {
  readonly teeth: number;
  readonly shifts: number;
  /** Normal, radians. */
  readonly pressureAngle: number;
}

/** Z_H of ISO 6336-2, with the working pressure angle of a pair without backlash. */
function zoneFactor({ transversePressureAngle: at, baseHelixAngle }: Profile, { teeth: sum, shifts, pressureAngle }: Pair): number {
  const working = inverseInvolute(involute(at) + (2 * shifts * Math.tan(pressureAngle)) / sum);
  if (!(working > 0)) throw fail('impossibleGeometry', 'mate.profileShift', { reason: 'teethNeverMeet' });
  return Math.sqrt((2 * Math.cos(baseHelixAngle) * Math.cos(working)) / (Math.cos(at) ** 2 * Math.sin(working)));
}
