import { radians } from '../../quantity/angle.ts';
import { involute } from './involute.ts';

/** What a cylindrical gear is cut to; lengths mm, angles radians, x and the coefficients in modules. */
export interface Cut {
  readonly teeth: number;
  readonly normalModuleMm: number;
  readonly pressureAngle: number;
  readonly helixAngle: number;
  readonly profileShift: number;
  readonly addendum: number;
  readonly dedendum: number;
  /** Normal thinning at the pitch circle. */
  readonly thinningMm: number;
}

/** Circles, angles and thickness that everything else is worked out from. */
export interface Profile {
  readonly transverseModuleMm: number;
  readonly transversePressureAngle: number;
  readonly pitchDiameterMm: number;
  readonly baseDiameterMm: number;
  readonly tipDiameterMm: number;
  readonly rootDiameterMm: number;
  readonly baseHelixAngle: number;
  /** Normal arc thickness at the pitch circle, after thinning. */
  readonly thicknessMm: number;
}

/** The profile of a cut. Sources: ISO 21771, clauses 4 and 5 (DIN 3960); rack ISO 53. */
export function profileOf(cut: Cut): Profile {
  const { teeth, normalModuleMm: m, pressureAngle, helixAngle, profileShift: x, addendum, dedendum, thinningMm } = cut;
  const transverseModuleMm = m / Math.cos(helixAngle);
  const transversePressureAngle = Math.atan(Math.tan(pressureAngle) / Math.cos(helixAngle));
  const pitchDiameterMm = teeth * transverseModuleMm;
  return {
    transverseModuleMm,
    transversePressureAngle,
    pitchDiameterMm,
    baseDiameterMm: pitchDiameterMm * Math.cos(transversePressureAngle),
    tipDiameterMm: pitchDiameterMm + 2 * m * (addendum + x),
    rootDiameterMm: pitchDiameterMm - 2 * m * (dedendum - x),
    baseHelixAngle: Math.asin(Math.sin(helixAngle) * Math.cos(pressureAngle)),
    thicknessMm: m * (Math.PI / 2 + 2 * x * Math.tan(pressureAngle)) - thinningMm,
  };
}

/** Half the angle that a tooth takes up at a diameter not below the base circle, in radians (ISO 21771, 5.5); below nought past a pointed tip. */
export function halfAngleAt(cut: Cut, profile: Profile, diameterMm: number): number {
  const angleThere = Math.acos(Math.min(1, profile.baseDiameterMm / diameterMm));
  const atPitch = profile.thicknessMm / Math.cos(cut.helixAngle) / profile.pitchDiameterMm;
  return atPitch + involute(profile.transversePressureAngle) - involute(angleThere);
}

/**
 * Normal thickness of a tooth at a diameter, in mm: below nought the flanks have met further in.
 * ISO 21771, 5.5: the transverse thickness follows the involute, the helix angle grows with the diameter.
 */
export function thicknessAt(cut: Cut, profile: Profile, diameterMm: number): number {
  const helixThere = Math.atan((Math.tan(cut.helixAngle) * diameterMm) / profile.pitchDiameterMm);
  return diameterMm * halfAngleAt(cut, profile, diameterMm) * Math.cos(helixThere);
}

/** Fewest teeth that a rack cutter leaves whole at this shift: 2(hₐ* − x) cos β / sin² αₜ (ISO 21771, 5.4). */
export const teethWithoutUndercut = ({ addendum, profileShift, helixAngle }: Cut, { transversePressureAngle }: Profile): number =>
  (2 * (addendum - profileShift) * Math.cos(helixAngle)) / Math.sin(transversePressureAngle) ** 2;

/** A tip thinner than this many modules is called pointed (DIN 3960, recommended least tip thickness). */
export const POINTED_TIP = 0.2;

export const cutOf = (given: {
  teeth: number;
  normalModuleMm: number;
  pressureAngleDeg: number;
  helixAngleDeg: number;
  profileShift: number;
  addendumCoefficient: number;
  dedendumCoefficient: number;
  toothThinningMm: number;
}): Cut => ({
  teeth: given.teeth,
  normalModuleMm: given.normalModuleMm,
  pressureAngle: radians(given.pressureAngleDeg),
  helixAngle: radians(given.helixAngleDeg),
  profileShift: given.profileShift,
  addendum: given.addendumCoefficient,
  dedendum: given.dedendumCoefficient,
  thinningMm: given.toothThinningMm,
});
