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
