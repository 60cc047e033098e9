/** Involute function, inv α = tan α − α; radians. */
export const involute = (angle: number): number => Math.tan(angle) - angle;

/**
 * The angle of a given involute, in radians; involutes below nought have none and give NaN.
 * Newton from Cheng's series (Cheng 1992, accurate to 1e-7 below 45°): three rounds to machine precision.
 * @example inverseInvolute(0.0149043838) // 0.3490658504, 20°
 */
export function inverseInvolute(value: number): number {
  if (value < 0) return NaN;
  if (value === 0) return 0;
  const root = Math.cbrt(3 * value);
  let angle = Math.min(1.5, root * (1 - (2 * root ** 2) / 15 + (3 * root ** 4) / 175));
  for (let i = 0; i < 30; i++) {
    const step = (involute(angle) - value) / Math.tan(angle) ** 2;
    angle = Math.min(1.57, Math.max(1e-9, angle - step));
    if (Math.abs(step) < 1e-15) break;
  }
  return angle;
}
