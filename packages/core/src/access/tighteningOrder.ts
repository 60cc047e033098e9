import { z } from 'zod';
import { tighten, type Tighten } from './step.ts';

export const tighteningInput = tighten;
export const tighteningOutput = z.object({
  order: z.array(z.int()),
  passes: z.array(z.object({ pass: z.int(), share: z.number() })),
});
export type TighteningOutput = z.infer<typeof tighteningOutput>;

/**
 * In which order to tighten screws round a joint, and in how many passes, so that it is drawn down
 * evenly. Screws are numbered from 1 at the top, clockwise round a circle, or row by row from the top
 * left in a rectangle. A circle goes across and square to it (the star); a rectangle
 * from the middle outwards, side to side. Shares are of the final torque: the last pass is 1.
 *
 * Source: common workshop practice for gasketed joints, as in ASME PCC-1 (star pattern, stepped passes).
 * The maker's own order comes first where there is one.
 *
 * @example tighteningOrder({ screws: 4, pattern: 'circle', columns: 2, passes: 2 }).order // [1, 3, 2, 4]
 */
export function tighteningOrder({ screws, pattern, columns, passes }: Tighten): TighteningOutput {
  const order = pattern === 'circle' ? star(screws) : outwards(screws, columns);
  return {
    order: order.map((i) => i + 1),
    passes: Array.from({ length: passes }, (_, i) => ({ pass: i + 1, share: (i + 1) / passes })),
  };
}

/** Round a circle, from 0: across and square to it where the count allows, else always into the widest gap. */
const star = (n: number): number[] => (n % 4 === 0 ? bySquares(n) : byGaps(n));

/**
 * Square after square (ASME PCC-1:2019, table 4, the legacy cross pattern): 1-7-4-10, 2-8-5-11, 3-9-6-12 of twelve.
 * The next square begins half a quarter on, so that none is drawn down beside the last.
 */
function bySquares(n: number): number[] {
  const quarter = n / 4;
  const step = Math.max(1, Math.floor(quarter / 2));
  const starts = Array.from({ length: step }, (_, first) =>
    Array.from({ length: Math.ceil((quarter - first) / step) }, (__, i) => first + i * step),
  );
  return starts.flat().flatMap((start) => [start, start + 2 * quarter, start + quarter, start + 3 * quarter]);
}

/** Always the screw farthest round from those already tight; of two as far, the one most nearly across from the last. */
function byGaps(n: number): number[] {
  const around = (p: number, q: number) => Math.min((p - q + n) % n, (q - p + n) % n);
  const order = [0];
  while (order.length < n) {
    const last = order.at(-1) as number;
    const left = Array.from({ length: n }, (_, i) => i).filter((i) => !order.includes(i));
    const rank = (i: number) => [Math.min(...order.map((done) => around(i, done))), around(i, last)] as const;
    order.push(
      left.reduce((best, i) => {
        const [gap, across] = rank(i);
        const [bestGap, bestAcross] = rank(best);
        return gap > bestGap || (gap === bestGap && across > bestAcross) ? i : best;
      }),
    );
  }
  return order;
}

/** By distance from the middle; of those as near, side to side. */
function outwards(n: number, columns: number): number[] {
  const rows = Math.ceil(n / columns);
  const places = Array.from({ length: n }, (_, i) => {
    const [x, y] = [(i % columns) - (columns - 1) / 2, Math.floor(i / columns) - (rows - 1) / 2];
    return { i, distance: Math.hypot(x, y), x, y };
  });
  const order: number[] = [];
  const left = [...places].sort((p, q) => p.distance - q.distance || p.i - q.i);
  let last: (typeof places)[number] | undefined;
  while (left.length > 0) {
    const nearest = (left[0] as (typeof places)[number]).distance;
    const ring = left.filter(({ distance }) => distance - nearest < 1e-9);
    const from = last;
    const next = from
      ? ring.reduce((best, each) => (apart(each, from) > apart(best, from) + 1e-9 ? each : best))
      : (ring[0] as (typeof places)[number]);
    order.push(next.i);
    left.splice(left.indexOf(next), 1);
    last = next;
  }
  return order;
}

const apart = (p: { x: number; y: number }, q: { x: number; y: number }) => Math.hypot(p.x - q.x, p.y - q.y);
