import { z } from 'zod';
import { checked } from '../gear/cylindrical/dimensions.ts';
import { inverseInvolute, involute } from '../gear/cylindrical/involute.ts';
import { cutOf, profileOf, type Cut, type Profile } from '../gear/cylindrical/profile.ts';
import { shared } from '../gear/cylindrical/schema.ts';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt, type MaterialAt } from '../material/material.ts';
import { MOST_MODULE_MM, lengthMm, positiveUpTo } from '../quantity/bounds.ts';
import { lewisForm, type LewisForm } from './lewis.ts';

const shift = z.number().min(-2).max(3).default(0);
const teeth = z.int().min(4).max(2000);

export const toothInput = z.strictObject({
  gear: z.strictObject({
    teeth,
    normalModuleMm: positiveUpTo(MOST_MODULE_MM),
    pressureAngleDeg: shared.pressureAngleDeg,
    helixAngleDeg: shared.helixAngleDeg,
    profileShift: shift,
    /** Normal, at the pitch circle: as made, or as worn. */
    toothThinningMm: z.number().min(0).max(300).default(0),
    faceWidthMm: lengthMm,
    material,
  }),
  /** Its face is as wide as the gear's unless given. */
  mate: z.strictObject({ teeth, profileShift: shift, material, faceWidthMm: lengthMm.optional() }).optional(),
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
  /** Where the gear's own tooth breaks: at its foot, or worn to a point at its tip. */
  weakestAt: z.enum(['foot', 'tip']),
  /** The two together, as torque at this gear: which of them breaks first and when, and when the first surface yields. */
  pair: z.object({ weaker: z.enum(['gear', 'mate']), breaksAtNm: z.number(), wearsAtNm: z.number() }).optional(),
  /** What is borne once. Nothing is said of how often. */
  basis: z.literal('static'),
  guide: z.boolean(),
});
export type ToothStrength = z.infer<typeof toothOutput>;

/** Surfaces in line contact begin to yield below the skin at so many times the yield strength (Johnson, Contact Mechanics, 4.2: Tresca). */
const YIELD_IN_CONTACT = 1.67;

/**
 * One tooth that carries the whole torque of its gear, statically: bending by Lewis with the load at the tip, contact at
 * the pitch point by Hertz where the mate is known. N·m, MPa, °C. The capacity is the torque at this gear at which the first
 * tooth of the two breaks or the first surface of the two yields; a surface that yields is worn and not broken, so `pair`
 * keeps both apart. Nothing is said of fatigue. `guide`: a figure of the built-in materials is in it.
 *
 * Sources: Lewis 1892 (Y = s²/6hm); ISO 6336-2 for Z_E and Z_H; Johnson for the contact limit.
 * @throws CoreFailure where the gear has no tooth left, gear and mate never mesh, or nothing is known of a material so warm
 * @example 20 teeth of module 2, 20 wide, steel, 20 N·m → 1000 N, about 80 MPa
 */
export function toothStrength({ gear, mate, torqueNm, temperatureC }: z.infer<typeof toothInput>): ToothStrength {
  const own = { ...gear, ...bendingOf(gear, { torqueNm, temperatureC, path: 'gear' }) };
  const common = {
    tangentialForceN: own.forceN,
    lewisFactor: own.factor,
    bendingStressMPa: own.stressMPa,
    bendingUtilisation: own.utilisation,
    weakestAt: own.weakestAt,
    basis: 'static',
  } as const;
  if (!mate) return { ...common, torqueCapacityNm: torqueNm / own.utilisation, limitedBy: 'bending', guide: own.figures.isGuide };
  const ratio = mate.teeth / gear.teeth;
  const face = mate.faceWidthMm ?? gear.faceWidthMm;
  const itsTooth = { ...gear, ...mate, faceWidthMm: face, toothThinningMm: 0 };
  const other = bendingOf(itsTooth, { torqueNm: torqueNm * ratio, temperatureC, path: 'mate' });
  const contactStressMPa = contactOf(own, {
    teeth: mate.teeth,
    profileShift: mate.profileShift,
    figures: other.figures,
    // No more of a face bears than the narrower of the two.
    faceWidthMm: Math.min(face, gear.faceWidthMm),
  });
  const softer = Math.min(own.figures.yieldMPa, other.figures.yieldMPa);
  const contactUtilisation = contactStressMPa / (YIELD_IN_CONTACT * own.figures.yieldMPa);
  const [breaksAtNm, wearsAtNm] = [
    torqueNm / Math.max(own.utilisation, other.utilisation),
    torqueNm / (contactStressMPa / (YIELD_IN_CONTACT * softer)) ** 2,
  ];
  return {
    ...common,
    contactStressMPa,
    contactUtilisation,
    torqueCapacityNm: Math.min(breaksAtNm, wearsAtNm),
    limitedBy: breaksAtNm <= wearsAtNm ? 'bending' : 'contact',
    pair: { weaker: other.utilisation > own.utilisation ? 'mate' : 'gear', breaksAtNm, wearsAtNm },
    guide: own.figures.isGuide || other.figures.isGuide,
  };
}

type Tooth = z.infer<typeof toothInput>['gear'];

interface Bending {
  readonly cut: Cut;
  readonly profile: Profile;
  readonly figures: MaterialAt;
  readonly forceN: number;
  readonly factor: number;
  readonly weakestAt: LewisForm['weakestAt'];
  readonly stressMPa: number;
  readonly utilisation: number;
}

/** One tooth bent by the torque of its gear. */
function bendingOf(
  gear: Tooth,
  { torqueNm, temperatureC, path }: { readonly torqueNm: number; readonly temperatureC: number; readonly path: 'gear' | 'mate' },
): Bending {
  const cut = cutOf({ ...gear, addendumCoefficient: 1, dedendumCoefficient: 1.25 });
  const profile = checked(cut, profileOf(cut), {}, path);
  const figures = materialAt(gear.material, temperatureC);
  const forceN = (2000 * torqueNm) / profile.pitchDiameterMm;
  const { factor, weakestAt } = lewisForm({
    teeth: gear.teeth / Math.cos(cut.helixAngle) ** 3,
    pressureAngleDeg: gear.pressureAngleDeg,
    profileShift: gear.profileShift,
    thinning: gear.toothThinningMm / gear.normalModuleMm,
  });
  if (!(factor > 0)) throw fail('impossibleGeometry', `${path}.toothThinningMm`, { reason: 'noToothLeft' });
  const stressMPa = forceN / (gear.faceWidthMm * gear.normalModuleMm * factor);
  return { cut, profile, figures, forceN, factor, weakestAt, stressMPa, utilisation: stressMPa / figures.yieldMPa };
}

interface Mate {
  readonly teeth: number;
  readonly profileShift: number;
  readonly figures: MaterialAt;
  readonly faceWidthMm: number;
}

/** Hertz' stress where two teeth touch at the pitch point, MPa. */
function contactOf(
  { cut, profile, figures, forceN, teeth: z, profileShift }: Bending & Pick<Tooth, 'teeth' | 'profileShift'>,
  mate: Mate,
): number {
  const compliance = ({ poissonRatio, youngsModulusMPa }: MaterialAt) => (1 - poissonRatio ** 2) / youngsModulusMPa;
  const elastic = Math.sqrt(1 / (Math.PI * (compliance(figures) + compliance(mate.figures))));
  const u = mate.teeth / z;
  const zone = zoneFactor(profile, { teeth: z + mate.teeth, shifts: profileShift + mate.profileShift, pressureAngle: cut.pressureAngle });
  return elastic * zone * Math.sqrt((forceN * (u + 1)) / (profile.pitchDiameterMm * mate.faceWidthMm * u));
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
