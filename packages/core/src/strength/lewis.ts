import { generatedTooth, type FlankPoint } from '../gear/cylindrical/generated.ts';
import { cutOf, profileOf } from '../gear/cylindrical/profile.ts';

export interface LewisTooth {
  /** Teeth of the virtual spur gear, z/cos³β; need not be whole. */
  readonly teeth: number;
  readonly pressureAngleDeg: number;
  readonly profileShift: number;
  /** Normal thinning in modules. */
  readonly thinning: number;
}

export interface LewisForm {
  /** Y = s²/(6·h·m). */
  readonly factor: number;
  /** Where the tooth is weakest: at its foot, or where it is worn to a point just below its tip. */
  readonly weakestAt: 'foot' | 'tip';
}

/** Points of fillet and flank that are looked at; the least of a whole tooth lies in the fillet and is smooth there. */
const POINTS = 240;
/** The tip of a tooth that runs to a point crumbles to so much at its first load, in modules (judgement). */
const CRUMBLED = 0.02;
const HALVINGS = 40;

/**
 * Lewis' form factor of a tooth as a rack with tip rounding 0.38 module cuts it, loaded at its tip: the parabola of
 * constant strength from where the load crosses the tooth's middle, touching the fillet or, of a tooth that is worn thin,
 * the flank; with s the tooth's thickness and h the arm there.
 *
 * Source: Lewis 1892, as in Shigley, Mechanical Engineering Design, 14-1.
 * @example 20 teeth, 20° → 0.32 at the foot
 */
export function lewisForm({ teeth, pressureAngleDeg, profileShift, thinning }: LewisTooth): LewisForm {
  const cut = cutOf({
    teeth,
    normalModuleMm: 1,
    pressureAngleDeg,
    helixAngleDeg: 0,
    profileShift,
    addendumCoefficient: 1,
    dedendumCoefficient: 1.25,
    toothThinningMm: thinning,
  });
  const tooth = generatedTooth(cut);
  const profile = profileOf(cut);
  const base = profile.baseDiameterMm / 2;
  const stands = (share: number): boolean => {
    const { radiusMm, halfAngle } = tooth.flank(share);
    return 2 * radiusMm * halfAngle >= CRUMBLED;
  };
  // Thickest at the fillet, so the share of the flank that stands is halved down to.
  let [standing, gone] = stands(1) ? [1, 1] : [0, 1];
  for (let i = 0; standing < gone && i < HALVINGS; i++) {
    const middle = (standing + gone) / 2;
    if (stands(middle)) standing = middle;
    else gone = middle;
  }
  const tip = tooth.flank(standing);
  const apex = base / Math.cos(Math.acos(Math.min(1, base / tip.radiusMm)) - tip.halfAngle);
  const parabola = ({ radiusMm, halfAngle }: FlankPoint): number => {
    const [half, height] = [radiusMm * Math.sin(halfAngle), apex - radiusMm * Math.cos(halfAngle)];
    return height > 0 ? half ** 2 / height : Infinity;
  };
  const least = (of: (t: number) => FlankPoint) =>
    Array.from({ length: POINTS + 1 }, (_, i) => parabola(of(i / POINTS))).reduce((p, q) => Math.min(p, q));
  const [fillet, flank] = [least(tooth.fillet), least((t) => tooth.flank(standing * t))];
  return { factor: (2 / 3) * Math.min(fillet, flank), weakestAt: flank < fillet ? 'tip' : 'foot' };
}
