import { fisher, type Colour } from './fisher.ts';
import type { Frame } from './frame.ts';
import { median, quantile } from '../inference/leastSquares.ts';
import type { Plate } from './picture.ts';

/** Rays round the gear; eight or more to the pitch of the finest gear that can be counted. */
export const RAYS = 2880;
const [INNER, OUTER] = [0.3, 1.32];
/** Samples along a ray. */
const DEPTH = 136;
const STEP = (OUTER - INNER) / DEPTH;

/** The gear unrolled: for every ray and radius how much of it is gear (0 bench, 1 gear), and how bright the picture is. */
export interface UnrolledRing {
  readonly gear: Float32Array;
  readonly bright: Float32Array;
  /** How well gear and bench can be told apart by colour, in spreads. */
  readonly contrast: number;
}

export const radiusAt = (step: number) => INNER + (step + 0.5) * STEP;
export const stepAt = (radius: number) => Math.min(DEPTH - 1, Math.max(0, Math.round((radius - INNER) / STEP - 0.5)));
export const DEPTHS = DEPTH;
export const RADIUS_STEP = STEP;

/**
 * Unrolls the picture about a frame and parts gear from what surrounds it: the colour direction that
 * tells the disc inside the teeth from the ring outside them best (Fisher 1936), with the dividing line
 * drawn anew round the gear, since light changes across it.
 */
export function unroll(plate: Plate, frame: Frame, root: number): UnrolledRing {
  const rgb = sampled(plate, frame);
  const [innerFrom, innerTo] = [stepAt(Math.max(INNER, root - 0.22)), stepAt(root - 0.03)];
  const [outerFrom, outerTo] = [stepAt(1.07), stepAt(1.25)];
  const inner = colours(rgb, innerFrom, innerTo);
  const outer = colours(rgb, outerFrom, outerTo);
  const way = fisher(inner, outer);
  const value = new Float32Array(RAYS * DEPTH);
  const bright = new Float32Array(RAYS * DEPTH);
  for (let i = 0; i < value.length; i++) {
    const [r, g, b] = [rgb[3 * i] as number, rgb[3 * i + 1] as number, rgb[3 * i + 2] as number];
    value[i] = r * way.along[0] + g * way.along[1] + b * way.along[2];
    bright[i] = (r + g + b) / 3;
  }
  const within = localLevel(value, innerFrom, innerTo, way.inner);
  const beyond = localLevel(value, outerFrom, outerTo, way.outer);
  const gear = new Float32Array(RAYS * DEPTH);
  const usual = way.inner - way.outer;
  for (let ray = 0; ray < RAYS; ray++) {
    let [high, low] = [within[ray] as number, beyond[ray] as number];
    // A blot of grease or a glare can turn the two about for a while: there the whole gear's levels count.
    if (high - low < 0.35 * usual) [high, low] = [way.inner, way.outer];
    for (let step = 0; step < DEPTH; step++) {
      const at = ray * DEPTH + step;
      // Steep round the middle: a wall half in the light is not half a tooth.
      const share = ((value[at] as number) - low) / (high - low);
      gear[at] = Math.min(1, Math.max(0, 2 * share - 0.5));
    }
  }
  return { gear, bright, contrast: way.contrast };
}

function sampled({ width, height, rgb }: Plate, frame: Frame): Float32Array {
  const out = new Float32Array(RAYS * DEPTH * 3);
  for (let ray = 0; ray < RAYS; ray++) {
    const angle = (2 * Math.PI * ray) / RAYS;
    const [x0, y0] = frame.toPicture(0, angle);
    const [x1, y1] = frame.toPicture(1, angle);
    for (let step = 0; step < DEPTH; step++) {
      const radius = radiusAt(step);
      const x = Math.min(width - 1.001, Math.max(0, x0 + (x1 - x0) * radius - 0.5));
      const y = Math.min(height - 1.001, Math.max(0, y0 + (y1 - y0) * radius - 0.5));
      const [ix, iy] = [Math.floor(x), Math.floor(y)];
      const [fx, fy] = [x - ix, y - iy];
      const from = 3 * (iy * width + ix);
      const to = 3 * (ray * DEPTH + step);
      const below = from + 3 * width;
      const [a, b, d] = [(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy];
      const e = fx * fy;
      for (let c = 0; c < 3; c++) {
        out[to + c] =
          (rgb[from + c] as number) * a +
          (rgb[from + 3 + c] as number) * b +
          (rgb[below + c] as number) * d +
          (rgb[below + 3 + c] as number) * e;
      }
    }
  }
  return out;
}

/** A thousand or two colours out of a ring of the unrolled picture. */
function colours(rgb: Float32Array, from: number, to: number): readonly Colour[] {
  const list: Colour[] = [];
  for (let ray = 0; ray < RAYS; ray += 19) {
    for (let step = from; step <= to; step += 3) {
      const at = 3 * (ray * DEPTH + step);
      list.push([rgb[at] as number, rgb[at + 1] as number, rgb[at + 2] as number]);
    }
  }
  return list;
}

/** Level of a ring round the gear, in pieces of 10°, each smoothed with its neighbours. */
function localLevel(value: Float32Array, from: number, to: number, usual: number): Float32Array {
  const PIECES = 36;
  const per = RAYS / PIECES;
  const pieces = Array.from({ length: PIECES }, (_, piece) => {
    const list: number[] = [];
    for (let ray = piece * per; ray < (piece + 1) * per; ray += 4)
      for (let step = from; step <= to; step += 2) list.push(value[ray * DEPTH + step] as number);
    return list.length === 0 ? usual : quantile(list, 0.5);
  });
  const smooth = pieces.map((_, i) => median([-2, -1, 0, 1, 2].map((by) => pieces[(i + by + PIECES) % PIECES] as number)));
  return Float32Array.from({ length: RAYS }, (_, ray) => {
    const at = ray / per - 0.5;
    const [low, share] = [Math.floor(at), at - Math.floor(at)];
    return (smooth[(low + PIECES) % PIECES] as number) * (1 - share) + (smooth[(low + 1) % PIECES] as number) * share;
  });
}
