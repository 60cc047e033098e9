import type { Axis } from './axis.ts';
import { dot, fisher, type Colour, type Way } from './fisher.ts';
import { robustFit } from '../inference/leastSquares.ts';
import type { Plate } from './picture.ts';

/** Something long laid straight: for every place along it how far it reaches to either side of its axis, in pixels of the plate. */
export interface Strip {
  readonly upper: Float32Array;
  readonly lower: Float32Array;
  /** How bright the picture is along a line so far from the axis. */
  readonly bright: (off: number, from: number, to: number) => Float32Array;
  readonly colour: (along: number, off: number) => Colour;
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
    // Written out: it is asked a million times.
    const reach = (along: number, side: 1 | -1) => {
      const [ex, ey] = toPicture(along, 0);
      const isThing = (off: number) => {
        const ix = Math.floor(ex - side * s * off);
        const iy = Math.floor(ey + side * c * off);
        return ix >= 0 && iy >= 0 && ix < width && iy < height && things[iy * width + ix] === 1;
      };
      for (let off = BESIDE * axis.across; off > 0; off -= 0.5) if (isThing(off) && isThing(off - 1.5) && isThing(off - 3)) return off;
      return 0;
    };
    const [upper, lower] = ([-1, 1] as const).map((side) => Float32Array.from({ length: count }, (_, i) => reach(i, side))) as [
      Float32Array,
      Float32Array,
    ];
    if (round === rounds) {
      const colour = (along: number, off: number): Colour => {
        const [px, py] = toPicture(along, off);
        const [ix, iy] = [Math.min(width - 1, Math.max(0, Math.floor(px))), Math.min(height - 1, Math.max(0, Math.floor(py)))];
        const at = 3 * (iy * width + ix);
        return [rgb[at] as number, rgb[at + 1] as number, rgb[at + 2] as number];
      };
      const bright = (off: number, from: number, to: number) =>
        Float32Array.from({ length: to - from }, (_, i) => {
          const [r, g, b] = colour(from + i, off);
          return (r + g + b) / 3;
        });
      return { upper, lower, bright, colour, toPicture };
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

/** Where a strip is threaded, and how far its threads reach out there. */
interface Threaded {
  readonly from: number;
  readonly to: number;
  readonly radius: number;
}

type Band = readonly [low: number, high: number];

/** How well what lies inside of an edge and what lies outside differ on one side of a strip; bands in radii. */
function acrossEdge(
  strip: Strip,
  { from, to, radius }: Threaded,
  [side, inside, outside]: readonly [side: -1 | 1, inside: Band, outside: Band],
): Way {
  const sampled = ([low, high]: Band) => {
    const list: Colour[] = [];
    for (let along = from; along < to; along += 3)
      for (let off = low * radius; off <= high * radius; off += 2) list.push(strip.colour(along, side * off));
    return list;
  };
  return fisher(sampled(inside), sampled(outside));
}

/** How well thing and bench can be told apart close to the upper edge and the lower, in spreads of their colours. */
export const edgeContrasts = (strip: Strip, threaded: Threaded): readonly number[] =>
  ([-1, 1] as const).map((side) => acrossEdge(strip, threaded, [side, [0.75, 0.92], [1.12, 1.3]]).contrast);

/** From where to where an edge is looked for, in radii. */
const SOUGHT: Band = [0.55, 1.3];

/**
 * The strip with its edges drawn by colour, on either side by that side's own: what lies in the shade of the thing and what lies in
 * its shadow on the bench differ by less than the bench does from the light side. Where a side's colours tell nothing its edge stays.
 */
export function edgesByColour(strip: Strip, threaded: Threaded): Strip {
  const [start, end] = SOUGHT.map((share) => share * threaded.radius) as [number, number];
  const edge = (side: -1 | 1, was: Float32Array) => {
    const way = acrossEdge(strip, threaded, [side, [0.62, 0.84], [1.25, 1.55]]);
    if (way.contrast < LEAST_CONTRAST) return was;
    return Float32Array.from(was, (_, along) => {
      let sum = 0;
      for (let off = start; off < end; off += 0.5) {
        const share = (dot(way.along, strip.colour(along, side * off)) - way.outer) / (way.inner - way.outer);
        sum += Math.min(1, Math.max(0, 2 * share - 0.5));
      }
      return start + 0.5 * sum;
    });
  };
  return { ...strip, upper: edge(-1, strip.upper), lower: edge(1, strip.lower) };
}

/** Least contrast of thing and bench along an edge, in spreads of their colours. */
const LEAST_CONTRAST = 1.2;
