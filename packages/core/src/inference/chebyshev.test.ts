import { interpolated } from './chebyshev.ts';

test('a smooth function is the same between its places as worked out there, and exact at them', () => {
  const known = interpolated(Math.exp, 0, 1, 12);
  for (let x = 0; x <= 1; x += 0.01) expect(known(x)).toBeCloseTo(Math.exp(x), 12);
  // Runge's function, on which even places would run away (Trefethen, Approximation Theory and Practice, 13).
  const runge = (x: number) => 1 / (1 + 25 * x * x);
  const few = interpolated(runge, -1, 1, 21);
  const more = interpolated(runge, -1, 1, 101);
  expect(Math.abs(few(0.95) - runge(0.95))).toBeLessThan(0.02);
  expect(Math.abs(more(0.95) - runge(0.95))).toBeLessThan(1e-8);
  expect(more(1)).toBe(runge(1));
});
