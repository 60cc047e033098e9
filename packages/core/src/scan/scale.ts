import type { ScanScale } from './schema.ts';

/** A finger lays a point this true, in pixels of the photo. */
const POINT_PX = 2;
/** However well the points are laid: lens and thickness bend the scale by this share. */
const LENS_SHARE = 0.007;

/** Millimetres of a pixel, by a known length of so many pixels in the thing's own plane. */
export function perMmBy(lengthMm: number, px: number): { readonly value: number; readonly plusMinus: number } {
  const share = Math.hypot((Math.SQRT2 * POINT_PX) / px, LENS_SHARE);
  return { value: lengthMm / px, plusMinus: (lengthMm / px) * share };
}

/** So many pixels in millimetres, themselves sure to this share. */
export const lengthBy = (perMm: ReturnType<typeof perMmBy>, px: number, share = 0) => ({
  value: px * perMm.value,
  plusMinus: px * Math.hypot(perMm.plusMinus, perMm.value * share),
});

/** The same of a photo that was taken from straight above. */
export const perMmOf = ({ from, to, lengthMm }: ScanScale) =>
  perMmBy(lengthMm, Math.max(1, Math.hypot(from.xPx - to.xPx, from.yPx - to.yPx)));
