import { generatedTooth } from './generated.ts';
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

/** What bounds a span on the gear in the hand: its tips as they were measured, and how wide it is; null where that is not known. */
export interface SpanBounds {
  readonly tipDiameterMm: number;
  readonly faceWidthMm: number | null;
}

/** Jaws keep so far, in modules, from where the flank begins and ends. */
const SPAN_CLEARANCE = 0.05;
/** A helical gear is to be so much wider than the jaws reach along it, in modules. */
const FACE_CLEARANCE = 0.2;

/** Radius at which flat jaws a span apart touch the flanks, mm: √(r_b² + (W·cos β_b / 2)²) (ISO 21771, 6.4). */
export const contactRadius = (spanMm: number, { baseDiameterMm, baseHelixAngle }: Profile): number =>
  Math.hypot(baseDiameterMm / 2, (spanMm * Math.cos(baseHelixAngle)) / 2);

/** How wide a gear has to be for its span, mm: W·sin β_b and a little; nought for straight teeth. */
export const faceForSpan = (spanMm: number, { normalModuleMm }: Cut, { baseHelixAngle }: Profile): number =>
  baseHelixAngle === 0 ? 0 : spanMm * Math.sin(Math.abs(baseHelixAngle)) + FACE_CLEARANCE * normalModuleMm;

/**
 * Counts of teeth over which the jaws touch both flanks, the nearest to the usual one first: between the end of the
 * trochoid, where it takes the foot of the flank away, and the tips, a twentieth of a module clear of either. Over one
 * tooth only where no more can be spanned; empty where not even that.
 */
export function measurableSpans(cut: Cut, profile: Profile, { tipDiameterMm, faceWidthMm }: SpanBounds): readonly number[] {
  const clear = SPAN_CLEARANCE * cut.normalModuleMm;
  const from = generatedTooth(cut).flank(0).radiusMm + clear;
  const to = Math.min(tipDiameterMm, profile.tipDiameterMm) / 2 - clear;
  const fits = (k: number) => {
    const spanMm = spanOver(k, cut, profile);
    const radius = contactRadius(spanMm, profile);
    return radius >= from && radius <= to && (faceWidthMm === null || faceWidthMm >= faceForSpan(spanMm, cut, profile));
  };
  const usual = usualSpanTeeth(cut, profile);
  const spans = Array.from({ length: Math.max(0, cut.teeth - 2) }, (_, i) => i + 2).filter(fits);
  if (spans.length === 0 && fits(1)) return [1];
  return spans.sort((p, q) => Math.abs(p - usual) - Math.abs(q - usual));
}
