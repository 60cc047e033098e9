import { inverseSpread } from './background.ts';
import { median } from '../inference/leastSquares.ts';

export type Colour = readonly [number, number, number];

/** The direction in colours that tells two heaps apart best, where either lies on it, and how far they are apart in spreads. */
export interface Way {
  readonly along: Colour;
  readonly inner: number;
  readonly outer: number;
  readonly contrast: number;
}

/**
 * The colour direction that parts what lies inside from what lies outside best (Fisher 1936).
 * Twice: holes and grease in the disc look like bench at first, and are left out the second time.
 */
export function fisher(inner: readonly Colour[], outer: readonly Colour[]): Way {
  let kept = inner;
  for (let round = 0; ; round++) {
    const [mean, other] = [middle(kept), middle(outer)];
    const off = [...kept.map((each) => less(each, mean)), ...outer.map((each) => less(each, other))];
    const inverse = inverseSpread(off, new Float32Array(off.length).fill(1));
    const apart = less(mean, other);
    const along = [0, 1, 2].map((i) => apart.reduce((sum, each, j) => sum + each * (inverse[i]?.[j] as number), 0)) as unknown as Colour;
    const contrast = Math.sqrt(Math.max(1e-9, dot(along, apart)));
    const way = { along, inner: dot(along, mean), outer: dot(along, other), contrast };
    if (round === 2) return way;
    const line = (way.inner + way.outer) / 2;
    const better = kept.filter((each) => dot(along, each) > line);
    if (better.length > 0.2 * inner.length) kept = better;
  }
}

export const dot = (p: Colour, q: Colour) => p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
const less = (p: Colour, q: Colour): Colour => [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
const middle = (list: readonly Colour[]): Colour =>
  [0, 1, 2].map((c) => median(list.map((each) => each[c] as number))) as unknown as Colour;
