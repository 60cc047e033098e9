import { generatedTooth, type FlankPoint } from '../gear/cylindrical/generated.ts';
import { cutOf, halfAngleAt, profileOf } from '../gear/cylindrical/profile.ts';

export interface LewisTooth {
  /** Teeth of the virtual spur gear, z/cos³β; need not be whole. */
  readonly teeth: number;
  readonly pressureAngleDeg: number;
  readonly profileShift: number;
  /** Normal thinning in modules. */
  readonly thinning: number;
}

/** A tooth breaks at its foot: where it is worn to a point the tip crumbles, which is no matter of bending. */
const FOOT = 0.5;
/** Points of fillet and flank that are looked at; the least lies in the fillet and is smooth there. */
const POINTS = 240;

/**
 * Lewis' form factor of a tooth as a rack with tip rounding 0.38 module cuts it, loaded at its tip: the parabola of
 * constant strength from where the load crosses the tooth's middle, touching the fillet; Y = s²/(6·h·m), with s the
 * tooth's thickness and h the arm there.
 *
 * Source: Lewis 1892, as in Shigley, Mechanical Engineering Design, 14-1.
 * @example 20 teeth, 20° → 0.32
 */
export function lewisFactor({ teeth, pressureAngleDeg, profileShift, thinning }: LewisTooth): number {
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
  const tip = tooth.tipRadiusMm;
  const loadAngle = Math.acos(Math.min(1, base / tip)) - Math.max(0, halfAngleAt(cut, profile, 2 * tip));
  const apex = base / Math.cos(loadAngle);
  const parabola = ({ radiusMm, halfAngle }: FlankPoint): number => {
    const [half, height] = [radiusMm * Math.sin(halfAngle), apex - radiusMm * Math.cos(halfAngle)];
    return height > 0 ? half ** 2 / height : Infinity;
  };
  let least = Infinity;
  for (let i = 0; i <= POINTS; i++) {
    least = Math.min(least, parabola(tooth.fillet(i / POINTS)), parabola(tooth.flank((FOOT * i) / POINTS)));
  }
  return (2 / 3) * least;
}
