import type { Axis } from './axis.ts';
import { robustFit } from '../inference/leastSquares.ts';
import type { Plate } from './picture.ts';

/** Something long laid straight: for every place along it how far it reaches to either side of its axis, in pixels of the plate. */
export interface Strip {
  readonly upper: Float32Array;
  readonly lower: Float32Array;
  /** How bright the picture is along a line so far from the axis. */
  readonly bright: (off: number, from: number, to: number) => Float32Array;
  readonly toPicture: (along: number, off: number) => readonly [number, number];
}

/** Beside the thing so much more is looked at, of its own reach. */
const BESIDE = 1.25;

/** Lays a thing along its axis and finds its two edges, coming from outside; the axis is put in the middle between them, so often. */
export function layAlong(plate: Plate, things: Uint8Array, { rounds, ...axis }: Axis & { readonly rounds: number }): Strip {
  const { width, height, rgb } = plate;
  let { x, y, direction } = axis;
  const count = Math.round(2 * axis.along);
  for (let round = 0; ; round++) {
    const [c, s] = [Math.cos(direction), Math.sin(direction)];
    const [x0, y0] = [x, y];
    const toPicture = (along: number, off: number) => {
      const at = along - count / 2;
      return [x0 + c * at - s * off, y0 + s * at + c * off] as const;
    };
    const isThing = (px: number, py: number) => {
      const [ix, iy] = [Math.floor(px), Math.floor(py)];
      return ix >= 0 && iy >= 0 && ix < width && iy < height && things[iy * width + ix] === 1;
    };
    const reach = (along: number, side: 1 | -1) => {
      for (let off = BESIDE * axis.across; off > 0; off -= 0.5) {
        const inside = [0, 1.5, 3].every((in_) => isThing(...toPicture(along, side * (off - in_))));
        if (inside) return off;
      }
      return 0;
    };
    const [upper, lower] = ([-1, 1] as const).map((side) => Float32Array.from({ length: count }, (_, i) => reach(i, side))) as [
      Float32Array,
      Float32Array,
    ];
    if (round === rounds) {
      const bright = (off: number, from: number, to: number) =>
        Float32Array.from({ length: to - from }, (_, i) => {
          const [px, py] = toPicture(from + i, off);
          const [ix, iy] = [Math.min(width - 1, Math.max(0, Math.floor(px))), Math.min(height - 1, Math.max(0, Math.floor(py)))];
          const at = 3 * (iy * width + ix);
          return ((rgb[at] as number) + (rgb[at + 1] as number) + (rgb[at + 2] as number)) / 3;
        });
      return { upper, lower, bright, toPicture };
    }
    // The middle between the edges is the axis: a straight line through it.
    const rows = Array.from(upper, (up, i) => ({
      factors: [1, i - count / 2],
      value: ((lower[i] as number) - up) / 2,
      weight: up > 0 && (lower[i] as number) > 0 ? 1 : 0,
    }));
    const [off = 0, slope = 0] = robustFit(rows, 2) ?? [];
    direction += Math.atan(slope);
    [x, y] = [x0 - s * off, y0 + c * off];
  }
}
