import { involute } from './involute.ts';
import type { Cut, Profile } from './profile.ts';

/**
 * Teeth to span so that the flat jaws touch near the pitch circle (ISO 21771, 6.4): the nearest whole
 * number, one at least.
 */
export function usualSpanTeeth({ teeth: z, profileShift: x, pressureAngle, helixAngle }: Cut, profile: Profile): number {
  const { transversePressureAngle, baseHelixAngle } = profile;
  const cosine = (z * Math.cos(transversePressureAngle)) / (z + 2 * x * Math.cos(helixAngle));
  const angle = Math.acos(Math.min(1, Math.max(0, cosine)));
  const k =
    (z / Math.PI) *
      (Math.tan(angle) / Math.cos(baseHelixAngle) ** 2 - ((2 * x) / z) * Math.tan(pressureAngle) - involute(transversePressureAngle)) +
    0.5;
  return Math.min(z, Math.max(1, Math.round(k)));
}

/** Span over k teeth (base tangent length) in mm, with the thinning: W = mₙ cos αₙ [π(k − ½) + z inv αₜ + 2x tan αₙ] − A cos αₙ. */
export function spanOver(k: number, { teeth, normalModuleMm, pressureAngle, profileShift, thinningMm }: Cut, profile: Profile): number {
  const arc = Math.PI * (k - 0.5) + teeth * involute(profile.transversePressureAngle) + 2 * profileShift * Math.tan(pressureAngle);
  return Math.cos(pressureAngle) * (normalModuleMm * arc - thinningMm);
}

/** The thinning that a span read over k teeth means, against the unthinned gear. Below nought: it is thicker than drawn. */
export const thinningFromSpan = (k: number, spanMm: number, cut: Cut, profile: Profile): number =>
  (spanOver(k, { ...cut, thinningMm: 0 }, profile) - spanMm) / Math.cos(cut.pressureAngle);
