import { gamma, lowerGamma } from './gamma.ts';

/** A life in Weibull's law: the share that still lives at t is exp(−(t/scale)^shape). */
export interface Weibull {
  readonly scale: number;
  readonly shape: number;
}

/** The law with this mean: scale = mean / Γ(1 + 1/shape). */
export const weibullOf = (mean: number, shape: number): Weibull => ({ scale: mean / gamma(1 + 1 / shape), shape });

/** When this share has failed. @example quantile({ scale: 10, shape: 1 }, 0.5) // 6.93 */
export const quantile = ({ scale, shape }: Weibull, failed: number): number => scale * (-Math.log(1 - failed)) ** (1 / shape);

/** The mean of a life cut off at a horizon: ∫₀ᴴ exp(−(t/scale)^shape) dt = mean · P(1/shape, (H/scale)^shape); without a horizon the mean itself. */
export function meanUpTo({ scale, shape }: Weibull, horizon: number | undefined): number {
  const whole = scale * gamma(1 + 1 / shape);
  return horizon === undefined ? whole : whole * lowerGamma(1 / shape, (horizon / scale) ** shape);
}
