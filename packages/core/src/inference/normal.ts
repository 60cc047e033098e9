/**
 * Error function, Abramowitz & Stegun 7.1.26 (absolute error below 1.5e-7):
 * ample beside instruments read to three digits.
 */
export function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  return Math.sign(x) * (1 - poly * Math.exp(-x * x));
}

/** Density of the normal distribution. */
export function normalDensity(x: number, mean: number, sd: number): number {
  const z = (x - mean) / sd;
  return Math.exp(-0.5 * z * z) / (sd * Math.sqrt(2 * Math.PI));
}

/** P(X ≤ x) of the normal distribution. */
export function normalBelow(x: number, mean: number, sd: number): number {
  return 0.5 * (1 + erf((x - mean) / (sd * Math.SQRT2)));
}

/** P(|X − target| ≤ tolerance) of the normal distribution. */
export function normalWithin(target: number, tolerance: number, mean: number, sd: number): number {
  return Math.max(0, normalBelow(target + tolerance, mean, sd) - normalBelow(target - tolerance, mean, sd));
}

const LOG_SQRT_2PI = 0.5 * Math.log(2 * Math.PI);

/** Logarithm of the density of the normal distribution. */
export function logNormalDensity(x: number, mean: number, sd: number): number {
  const z = (x - mean) / sd;
  return -0.5 * z * z - Math.log(sd) - LOG_SQRT_2PI;
}

/** Below this many standard deviations the distribution function is worked out from its tail. */
const TAIL = -3.5;

/** ln Φ(z), as exact in the tail as in the middle (Abramowitz & Stegun 26.2.12: the asymptotic series). */
export function logNormalBelow(z: number): number {
  if (z > TAIL) return Math.log(normalBelow(z, 0, 1));
  const inverse = 1 / (z * z);
  return -0.5 * z * z - LOG_SQRT_2PI - Math.log(-z) + Math.log1p(-inverse * (1 - 3 * inverse * (1 - 5 * inverse * (1 - 7 * inverse))));
}

/** ln(Φ(high) − Φ(low)) for low < high, also where both lie far out on one side. */
export function logNormalBetween(low: number, high: number): number {
  if (low > 0) return logNormalBetween(-high, -low);
  const top = logNormalBelow(high);
  return top + Math.log1p(-Math.exp(logNormalBelow(low) - top));
}
