import { robustFit } from '../inference/leastSquares.ts';
import { RAYS } from './unwrap.ts';

/**
 * How the even comb of teeth is bent round the rim in the picture: with the camera leaning, the near half
 * is seen larger than the far half, and the wall shows on one side. Even angle = angle + c₁ cos + s₁ sin
 * + c₂ cos 2 + s₂ sin 2; radians.
 */
export type Lean = readonly [number, number, number, number];
export const UPRIGHT: Lean = [0, 0, 0, 0];

export const evenAngle = (lean: Lean, angle: number): number => angle + bend(lean, angle);

/** The angle in the picture of an even one: a few steps, the bend being small. */
export function pictureAngle(lean: Lean, even: number): number {
  let angle = even;
  for (let i = 0; i < 5; i++) angle = even - bend(lean, angle);
  return angle;
}

const bend = ([c1, s1, c2, s2]: Lean, angle: number) =>
  c1 * Math.cos(angle) + s1 * Math.sin(angle) + c2 * Math.cos(2 * angle) + s2 * Math.sin(2 * angle);

/** Values round the rim, read off again at even angles. */
export function straightened(ring: Float32Array, lean: Lean): Float32Array {
  return Float32Array.from(ring, (_, ray) => {
    const at = (pictureAngle(lean, (2 * Math.PI * ray) / RAYS) / (2 * Math.PI)) * RAYS;
    const [low, share] = [Math.floor(at), at - Math.floor(at)];
    const of = (place: number) => ring[((place % RAYS) + RAYS) % RAYS] as number;
    return of(low) * (1 - share) + of(low + 1) * share;
  });
}

/** The lean that lays teeth seen at these angles best on a comb of so many, beginning near a guess. */
export function leanOf(seen: readonly number[], teeth: number, phase: number, guess: Lean): Lean {
  const pitch = (2 * Math.PI) / teeth;
  const rows = seen.map((angle) => {
    const off = evenAngle(guess, angle) - phase;
    return {
      factors: [1, Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)],
      value: Math.round(off / pitch) * pitch - off,
      weight: 1,
    };
  });
  const fit = robustFit(rows, 5, 5);
  if (!fit) return guess;
  const [c1, s1, c2, s2] = guess;
  return [c1 + (fit[1] ?? 0), s1 + (fit[2] ?? 0), c2 + (fit[3] ?? 0), s2 + (fit[4] ?? 0)];
}
