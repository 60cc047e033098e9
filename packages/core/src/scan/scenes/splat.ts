import type { Picture } from '../picture.ts';

/*
 * Photographs of solids, made by laying points of their surfaces through a pinhole camera: what the reader of photos is tried
 * on. Shares nothing with it. World: x to the right, y up along the bench, z towards the camera; lengths in mm.
 */

export type Vector = readonly [x: number, y: number, z: number];
export type Colour = readonly [red: number, green: number, blue: number];

/** A piece of a surface: its point at u and v, each from 0 to 1, and how long it is at most along either, mm. */
export interface Patch {
  readonly at: (u: number, v: number) => Vector;
  readonly along: readonly [u: number, v: number];
  readonly colour: Colour;
  /** How much of the light it throws back like a mirror, 0 to 1. */
  readonly gloss?: number;
}

export interface View {
  readonly width: number;
  readonly height: number;
  /** Pixels of a mm on the bench. */
  readonly pxPerMm: number;
  /** Where the camera stands: leaning by so much towards this side, at so many mm. */
  readonly leanDeg: number;
  readonly towardsDeg: number;
  readonly distanceMm: number;
  readonly bench: Colour;
  /** Of the bench's own pattern, 0 to 1. */
  readonly grain: number;
  /** From where the light comes: direction over the bench, and how high. */
  readonly lightDeg: number;
  readonly lightUpDeg: number;
  /** How dark a shadow is, and how uneven the light over the picture, 0 to 1. */
  readonly shadow: number;
  readonly unevenness: number;
  /** Of a pixel, one standard deviation. */
  readonly noise: number;
  readonly random: () => number;
}

/** White paper under a soft lamp, taken from nearly above, four tenths of a metre away; what is otherwise is said. */
export const onPaper = (change: Pick<View, 'width' | 'height' | 'pxPerMm' | 'random'> & Partial<View>): View => ({
  leanDeg: 0,
  towardsDeg: 0,
  distanceMm: 400,
  bench: [228, 226, 220],
  grain: 0.01,
  lightDeg: 200,
  lightUpDeg: 60,
  shadow: 0.15,
  unevenness: 0.1,
  noise: 4,
  ...change,
});

/** Drawn twice as fine and averaged. */
const FINER = 2;
/** Points lie so close, in drawn pixels. */
const SPACING = 1;

const radians = (deg: number) => (deg * Math.PI) / 180;
const gauss = (random: () => number) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** The picture that a camera over the bench takes of these surfaces. */
export function photograph(patches: readonly Patch[], view: View): Picture {
  const [w, h] = [view.width * FINER, view.height * FINER];
  const scale = view.pxPerMm * FINER;
  const turn = leaning(view);
  const light: Vector = [
    Math.cos(radians(view.lightDeg)) * Math.cos(radians(view.lightUpDeg)),
    Math.sin(radians(view.lightDeg)) * Math.cos(radians(view.lightUpDeg)),
    Math.sin(radians(view.lightUpDeg)),
  ];
  const place = (point: Vector): Vector => {
    const [x, y, z] = turn(point);
    const nearer = view.distanceMm / (view.distanceMm - z);
    return [w / 2 + scale * nearer * x, h / 2 - scale * nearer * y, z];
  };
  const depth = new Float32Array(w * h).fill(-Infinity);
  const paint = new Float32Array(w * h * 3);
  const dark = new Float32Array(w * h);
  for (const patch of patches) layPatch(patch, { w, h, scale, place, light, depth, paint, dark });
  return finish({ w, h, depth, paint, dark: blurred(dark, { w, h, by: Math.round(0.5 * scale) + 2 }) }, view);
}

function leaning({ leanDeg, towardsDeg }: View): (point: Vector) => Vector {
  const [lean, towards] = [radians(leanDeg), radians(towardsDeg)];
  const axis = [-Math.sin(towards), Math.cos(towards)] as const;
  const [c, s] = [Math.cos(lean), Math.sin(lean)];
  return ([x, y, z]) => {
    const along = axis[0] * x + axis[1] * y;
    const across = -axis[1] * x + axis[0] * y;
    // About an axis in the bench: what lies across it rises or sinks.
    const [turned, up] = [c * across - s * z, s * across + c * z];
    return [axis[0] * along - axis[1] * turned, axis[1] * along + axis[0] * turned, up];
  };
}

interface Canvas {
  readonly w: number;
  readonly h: number;
  readonly scale: number;
  readonly place: (point: Vector) => Vector;
  readonly light: Vector;
  readonly depth: Float32Array;
  readonly paint: Float32Array;
  readonly dark: Float32Array;
}

function layPatch({ at, along, colour, gloss = 0.2 }: Patch, { w, h, scale, place, light, depth, paint, dark }: Canvas): void {
  const [us, vs] = along.map((mm) => Math.max(2, Math.ceil((mm * scale) / SPACING))) as [number, number];
  for (let i = 0; i <= us; i++) {
    for (let j = 0; j <= vs; j++) {
      const [u, v] = [i / us, j / vs];
      const point = at(u, v);
      const [px, py, near] = place(point);
      const [x, y] = [Math.round(px), Math.round(py)];
      // What lies behind what is painted already is not lit: that is the dear part.
      let bright = -1;
      for (let dy = 0; dy < 2; dy++) {
        for (let dx = 0; dx < 2; dx++) {
          if (x + dx < 0 || y + dy < 0 || x + dx >= w || y + dy >= h) continue;
          const to = (y + dy) * w + x + dx;
          if (near <= (depth[to] as number)) continue;
          depth[to] = near;
          if (bright < 0) bright = lit(at, [u, v], light, gloss);
          for (let c = 0; c < 3; c++) paint[3 * to + c] = (colour[c] as number) * bright;
        }
      }
      // Its shadow on the bench.
      const down = Math.max(0, point[2]) / Math.max(0.2, light[2]);
      const [sx, sy] = place([point[0] - light[0] * down, point[1] - light[1] * down, 0]).map(Math.round) as [number, number, number];
      if (sx >= 0 && sy >= 0 && sx < w - 1 && sy < h - 1) dark[sy * w + sx] = dark[sy * w + sx + 1] = 1;
    }
  }
}

const STEP = 1e-4;
function lit(at: Patch['at'], [u, v]: readonly [number, number], light: Vector, gloss: number): number {
  const [p, q, r] = [at(u, v), at(u + STEP, v), at(u, v + STEP)];
  const [a, b] = [q.map((each, i) => each - (p[i] as number)), r.map((each, i) => each - (p[i] as number))] as [number[], number[]];
  const [ax = 0, ay = 0, az = 0] = a;
  const [bx = 0, by = 0, bz = 0] = b;
  let [nx, ny, nz] = [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx];
  const length = Math.hypot(nx, ny, nz) || 1;
  const sign = nz < 0 ? -1 : 1;
  [nx, ny, nz] = [(sign * nx) / length, (sign * ny) / length, (sign * nz) / length];
  const falls = Math.max(0, nx * light[0] + ny * light[1] + nz * light[2]);
  // Half way between light and camera: where it mirrors.
  const half = Math.hypot(light[0], light[1], light[2] + 1);
  const mirror = Math.max(0, (nx * light[0] + ny * light[1] + nz * (light[2] + 1)) / half) ** 24;
  return 0.35 + 0.65 * falls + gloss * mirror;
}

function blurred(from: Float32Array, { w, h, by }: { readonly w: number; readonly h: number; readonly by: number }): Float32Array {
  let values = from;
  for (const [step, lines, length] of [
    [1, h, w],
    [w, w, h],
  ] as const) {
    const next = new Float32Array(values.length);
    for (let line = 0; line < lines; line++) {
      const start = step === 1 ? line * w : line;
      let sum = 0;
      for (let i = -by; i < length; i++) {
        if (i + by < length) sum += values[start + (i + by) * step] as number;
        if (i - by - 1 >= 0) sum -= values[start + (i - by - 1) * step] as number;
        if (i >= 0) next[start + i * step] = sum / (2 * by + 1);
      }
    }
    values = next;
  }
  return values;
}

type Drawn = Pick<Canvas, 'w' | 'h' | 'depth' | 'paint' | 'dark'>;

function finish({ w, h, depth, paint, dark }: Drawn, view: View): Picture {
  const { width, height, bench, grain, shadow, unevenness, noise, random } = view;
  const rgba = new Uint8ClampedArray(width * height * 4);
  const [turn, waves, slope] = [random() * Math.PI, 4 + 12 * random(), random() * 2 * Math.PI];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const across = (x * Math.cos(turn) + y * Math.sin(turn)) / width;
      const pattern =
        1 + grain * (Math.sin(2 * Math.PI * waves * across + 2 * Math.sin((9 * y) / height + (5 * x) / width)) * 0.6 + 0.4 * gauss(random));
      const light = 1 + unevenness * ((x / width - 0.5) * Math.cos(slope) + (y / height - 0.5) * Math.sin(slope));
      const to = 4 * (y * width + x);
      const speck = noise * gauss(random);
      for (let c = 0; c < 3; c++) {
        let sum = 0;
        for (let k = 0; k < FINER * FINER; k++) {
          const at = (y * FINER + Math.floor(k / FINER)) * w + x * FINER + (k % FINER);
          const isBench = depth[at] === -Infinity;
          sum += isBench ? (bench[c] as number) * pattern * (1 - shadow * Math.min(1, dark[at] as number)) : (paint[3 * at + c] as number);
        }
        rgba[to + c] = (sum / (FINER * FINER)) * light + speck;
      }
      rgba[to + 3] = 255;
    }
  }
  void h;
  return { width, height, rgba };
}
