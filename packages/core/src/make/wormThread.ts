import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { involute } from '../gear/cylindrical/involute.ts';
import { WORM_DEDENDUM } from '../gear/worm/dimensions.ts';
import { radians } from '../quantity/angle.ts';
import { lengthMm, MOST_MODULE_MM, positiveUpTo } from '../quantity/bounds.ts';

export const WORM_PROFILES = ['ZA', 'ZN', 'ZI'] as const;

export const wormPart = z.strictObject({
  kind: z.literal('worm'),
  starts: z.int().min(1).max(12),
  axialModuleMm: z.number().min(0.1).max(MOST_MODULE_MM),
  diameterQuotient: positiveUpTo(100).optional(),
  pitchDiameterMm: lengthMm.optional(),
  profile: z.enum(WORM_PROFILES),
  normalPressureAngleDeg: z.number().min(5).max(35).default(20),
  hand: z.enum(['right', 'left']),
  lengthMm: z.number().min(0.5).max(2000),
});
export type WormPart = z.output<typeof wormPart>;

/** The thread of a worm. Lengths mm, angles radians. */
export interface WormThread {
  readonly starts: number;
  readonly hand: 'right' | 'left';
  readonly leadMm: number;
  readonly axialPitchMm: number;
  readonly pitchRadiusMm: number;
  readonly tipRadiusMm: number;
  readonly rootRadiusMm: number;
  /** At the pitch cylinder. */
  readonly leadAngle: number;
  /** Half the angle that one thread takes up in a plane across the axis, at a radius. */
  readonly halfAngleAt: (radiusMm: number) => number;
  /** The smallest radius at which the flank is what it is. */
  readonly flankFromMm: number;
}

interface Change {
  /** How much higher the tips are, mm: a hob cuts the clearance. */
  readonly higherMm?: number;
  /** How much thicker a thread is along the axis, mm: a hob cuts the backlash. */
  readonly thickerMm?: number;
}

/**
 * A cylindrical worm's thread by its flank form. ZA: straight in a plane through the axis, tan α_axial = tan αₙ/cos γ. ZN: straight in the
 * plane normal to the thread at the pitch cylinder. ZI: an involute helicoid, cos γ_b = cos γ · cos αₙ. A thread is half an axial pitch
 * thick at the pitch cylinder.
 *
 * Sources: ISO/TR 10828; DIN 3975-1; ISO 21771 for the involute.
 * @throws CoreFailure where the diameter is missing, given twice, leaves no root, or the threads come to a point below their tips
 * @example 1 start, module 2, q 10 → lead 6.283 mm, pitch radius 10 mm, tips at 12, roots at 7.5
 */
export function wormThread(
  part: Omit<WormPart, 'kind' | 'lengthMm'>,
  { higherMm = 0, thickerMm = 0 }: Change = {},
  path = 'part',
): WormThread {
  const { starts, axialModuleMm: m, diameterQuotient, pitchDiameterMm, hand } = part;
  const pitchDiameter = pitchDiameterMm ?? (diameterQuotient === undefined ? undefined : diameterQuotient * m);
  if (pitchDiameter === undefined) throw fail('missing', `${path}.pitchDiameterMm`, { or: 'diameterQuotient' });
  if (diameterQuotient !== undefined && Math.abs(pitchDiameter - diameterQuotient * m) > 1e-6 * pitchDiameter)
    throw fail('contradiction', `${path}.diameterQuotient`, {
      reason: 'diameterAgainstQuotient',
      diameterMm: pitchDiameter,
      module: m,
      quotient: pitchDiameter / m,
      given: diameterQuotient,
    });
  const pitchRadiusMm = pitchDiameter / 2;
  const rootRadiusMm = pitchRadiusMm - WORM_DEDENDUM * m;
  const tipRadiusMm = pitchRadiusMm + m + higherMm;
  const field = pitchDiameterMm === undefined ? 'diameterQuotient' : 'pitchDiameterMm';
  if (rootRadiusMm <= 0)
    throw fail('impossibleGeometry', `${path}.${field}`, {
      reason: 'threadsTooDeep',
      field,
      module: m,
      least: field === 'diameterQuotient' ? 2 * WORM_DEDENDUM : 2 * WORM_DEDENDUM * m,
    });
  const axialPitchMm = Math.PI * m;
  const leadMm = axialPitchMm * starts;
  const leadAngle = Math.atan(leadMm / (2 * Math.PI * pitchRadiusMm));
  const halfThicknessMm = axialPitchMm / 4 + thickerMm / 2;
  const flank = FLANKS[part.profile]({
    leadMm,
    leadAngle,
    pitchRadiusMm,
    halfThicknessMm,
    alpha: radians(part.normalPressureAngleDeg),
    tipRadiusMm,
  });
  if (flank.halfAngleAt(tipRadiusMm) <= 0) throw fail('impossibleGeometry', `${path}.normalPressureAngleDeg`, { reason: 'toothPointed' });
  if (flank.halfAngleAt(Math.max(rootRadiusMm, flank.fromMm)) >= Math.PI / starts)
    throw fail('impossibleGeometry', `${path}.normalPressureAngleDeg`, { reason: 'teethCross' });
  return {
    starts,
    hand,
    leadMm,
    axialPitchMm,
    pitchRadiusMm,
    tipRadiusMm,
    rootRadiusMm,
    leadAngle,
    flankFromMm: flank.fromMm,
    // Below an involute's base there is none: it goes on straight towards the axis.
    halfAngleAt: (radiusMm) => flank.halfAngleAt(Math.max(radiusMm, flank.fromMm)),
  };
}

interface Thread {
  readonly leadMm: number;
  readonly leadAngle: number;
  readonly pitchRadiusMm: number;
  readonly tipRadiusMm: number;
  /** Along the axis, at the pitch cylinder. */
  readonly halfThicknessMm: number;
  /** Normal pressure angle. */
  readonly alpha: number;
}

interface Flank {
  readonly halfAngleAt: (radiusMm: number) => number;
  readonly fromMm: number;
}

const FLANKS: Readonly<Record<WormPart['profile'], (thread: Thread) => Flank>> = {
  ZA: ({ leadMm, leadAngle, pitchRadiusMm, halfThicknessMm, alpha }) => {
    const slope = Math.tan(alpha) / Math.cos(leadAngle);
    const axial = (radius: number) => halfThicknessMm - (radius - pitchRadiusMm) * slope;
    return { halfAngleAt: (radius) => (2 * Math.PI * axial(radius)) / leadMm, fromMm: 0 };
  },
  ZN: ({ leadMm, leadAngle, pitchRadiusMm, halfThicknessMm, alpha }) => {
    const [sin, cos] = [Math.sin(leadAngle), Math.cos(leadAngle)];
    const halfNormal = halfThicknessMm * cos;
    /** Of the straight line of the normal section, this far from the axis: its radius, and the angle that its helix has across. */
    const across = (u: number) => {
      const off = halfNormal - (u - pitchRadiusMm) * Math.tan(alpha);
      return { radius: Math.hypot(u, off * sin), angle: Math.atan2(off * sin, u) + (2 * Math.PI * off * cos) / leadMm };
    };
    return {
      fromMm: 0,
      halfAngleAt: (radius) => {
        // The radius grows with the distance, and is a little more than it: a few rounds find it.
        let u = radius;
        for (let i = 0; i < 40; i++) u += radius - across(u).radius;
        return across(u).angle;
      },
    };
  },
  ZI: ({ leadMm, leadAngle, pitchRadiusMm, halfThicknessMm, alpha }) => {
    const transverse = Math.atan(Math.tan(alpha) / Math.sin(leadAngle));
    const baseMm = pitchRadiusMm * Math.cos(transverse);
    const atPitch = (2 * Math.PI * halfThicknessMm) / leadMm + involute(transverse);
    return { halfAngleAt: (radius) => atPitch - involute(Math.acos(Math.min(1, baseMm / radius))), fromMm: baseMm };
  },
};
