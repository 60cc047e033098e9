import { inverseInvolute, involute } from './involute.ts';
import type { Cut, Profile } from './profile.ts';

/**
 * Measure over two balls or pins of diameter D in opposite spaces, mm; null where they would not touch
 * the flanks (the pin sinks to the root or stands out beyond all involutes). ISO 21771, 6.6:
 * inv α_K = inv αₜ + (D/(mₙ cos αₙ) + 2x tan αₙ − π/2 − A/mₙ)/z.
 */
export function overPins(pinMm: number, cut: Cut, profile: Profile): number | null {
  const { teeth: z, normalModuleMm: m, pressureAngle, profileShift: x, thinningMm } = cut;
  const shift = pinMm / (m * Math.cos(pressureAngle)) + 2 * x * Math.tan(pressureAngle) - Math.PI / 2 - thinningMm / m;
  const angle = inverseInvolute(involute(profile.transversePressureAngle) + shift / z);
  if (!Number.isFinite(angle)) return null;
  const centres = profile.baseDiameterMm / Math.cos(angle);
  return (z % 2 === 0 ? centres : centres * Math.cos(Math.PI / (2 * z))) + pinMm;
}

/** The thinning that a measure over pins means, against the unthinned gear; null where no gear of the kind gives it. */
export function thinningFromPins(pinMm: number, overMm: number, cut: Cut, profile: Profile): number | null {
  const { teeth: z, normalModuleMm: m, pressureAngle, profileShift: x } = cut;
  const centres = (overMm - pinMm) / (z % 2 === 0 ? 1 : Math.cos(Math.PI / (2 * z)));
  const cosine = profile.baseDiameterMm / centres;
  if (!(centres > 0) || cosine > 1) return null;
  const shift = z * (involute(Math.acos(cosine)) - involute(profile.transversePressureAngle));
  return m * (pinMm / (m * Math.cos(pressureAngle)) + 2 * x * Math.tan(pressureAngle) - Math.PI / 2 - shift);
}
