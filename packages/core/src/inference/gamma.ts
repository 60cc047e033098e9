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
