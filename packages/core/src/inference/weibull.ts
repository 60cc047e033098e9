import { gamma } from './gamma.ts';

/** A life in Weibull's law: the share that still lives at t is exp(−(t/scale)^shape). */
export interface Weibull {
  readonly scale: number;
  readonly shape: number;
}

/** The law with this mean: scale = mean / Γ(1 + 1/shape). */
export const weibullOf = (mean: number, shape: number): Weibull => ({ scale: mean / gamma(1 + 1 / shape), shape });

/** When this share has failed. @example quantile({ scale: 10, shape: 1 }, 0.5) // 6.93 */
export const quantile = ({ scale, shape }: Weibull, failed: number): number => scale * (-Math.log(1 - failed)) ** (1 / shape);

/** Pieces of Simpson's rule; the integrand is smooth where the shape is 1 or more, and taken in a variable in which it is for less. */
const PIECES = 400;

/** The mean of a life cut off at a horizon: ∫₀ᴴ exp(−(t/scale)^shape) dt; without a horizon the mean itself. */
export function meanUpTo({ scale, shape }: Weibull, horizon: number | undefined): number {
  const whole = scale * gamma(1 + 1 / shape);
  if (horizon === undefined) return whole;
  // In v = (t/scale)^shape raised to 1/p, p ≥ 1: no steep beginning for small shapes, nor an end for large ones.
  const power = Math.max(1, shape);
  const end = (Math.min(horizon, scale * 40 ** (1 / shape)) / scale) ** (shape / power);
  const at = (v: number): number => {
    const lives = Math.exp(-(v ** power));
    const slope = (power / shape) * v ** (power / shape - 1);
    return lives * (power === shape ? 1 : slope);
  };
  const step = end / PIECES;
  let sum = at(0) + at(end);
  for (let i = 1; i < PIECES; i++) sum += (i % 2 === 1 ? 4 : 2) * at(i * step);
  return Math.min(whole, (scale * sum * step) / 3);
}
