/** Coefficients of Lanczos' series with g = 7, nine terms (Press, Numerical Recipes, 6.1; to 15 figures). */
const LANCZOS = [
  0.999_999_999_999_809_9, 676.520_368_121_885_1, -1259.139_216_722_402_8, 771.323_428_777_653_1, -176.615_029_162_140_6,
  12.507_343_278_686_905, -0.138_571_095_265_720_12, 9.984_369_578_019_572e-6, 1.505_632_735_149_311_6e-7,
];

/** The gamma function for x > 0. @example gamma(1.5) // √π / 2 */
export function gamma(x: number): number {
  if (x < 0.5) return Math.PI / (Math.sin(Math.PI * x) * gamma(1 - x));
  const at = x - 1;
  const sum = LANCZOS.reduce((total, each, i) => total + (i === 0 ? each : each / (at + i)), 0);
  const base = at + 7.5;
  return Math.sqrt(2 * Math.PI) * base ** (at + 0.5) * Math.exp(-base) * sum;
}

/** A series or a fraction has come to its end where a term adds less than this share. */
const LEAST_SHARE = 1e-16;
const MOST_TERMS = 1000;

/**
 * The regularized lower incomplete gamma function P(a, x) for a > 0, x ≥ 0: by its series below a + 1, by Lentz' continued
 * fraction of what is left above (Press, Numerical Recipes, 6.2).
 * @example lowerGamma(1, 2) // 1 − e⁻²
 */
export function lowerGamma(a: number, x: number): number {
  if (x <= 0) return 0;
  if (x === Infinity) return 1;
  const share = Math.exp(a * Math.log(x) - x) / gamma(a);
  return x < a + 1 ? share * lowerSeries(a, x) : 1 - share * upperFraction(a, x);
}

function lowerSeries(a: number, x: number): number {
  let [term, sum] = [1 / a, 1 / a];
  for (let n = 1; n < MOST_TERMS && term > sum * LEAST_SHARE; n++) {
    term *= x / (a + n);
    sum += term;
  }
  return sum;
}

function upperFraction(a: number, x: number): number {
  let b = x + 1 - a;
  let [c, d] = [Infinity, 1 / b];
  let product = d;
  for (let n = 1; n < MOST_TERMS; n++) {
    const term = -n * (n - a);
    b += 2;
    d = 1 / (term * d + b);
    c = b + term / c;
    product *= c * d;
    if (Math.abs(c * d - 1) < LEAST_SHARE) break;
  }
  return product;
}
