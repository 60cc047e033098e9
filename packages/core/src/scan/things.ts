import { SHADOW_SHARE, unlikeBench } from './background.ts';
import type { Plate } from './picture.ts';

export type ThingRefusal = 'noGear' | 'cutOff' | 'tooSmall';

/** Something that lies on the bench: its pixels on a plate. */
export interface Thing {
  readonly pixels: readonly number[];
  readonly width: number;
  readonly height: number;
  /** First and last pixel of each of its rows, as points. */
  readonly rim: readonly (readonly [x: number, y: number])[];
  /** It leaves the picture. */
  readonly isCut: boolean;
}

/** Share of the picture that a gear has to cover at least; below the second there is nothing at all. */
const [LEAST_AREA, NOTHING] = [0.02, 0.002];
/** However Otsu parts them: nearer to the bench than this many of its spreads is bench. */
const LEAST_UNLIKE = Math.log1p(3.5);
/** Share of the rim's points that may lie on the picture's edge. */
const CUT_OFF = 0.02;

/**
 * How things are parted from the bench: as they are unlike it, shadows counted a little; with shadows counted as nothing, which
 * takes the dark side of what has the bench's own colour; and only what is most unlike it, which takes what is pale.
 */
export const PARTINGS = ['usual', 'noShadow', 'strong'] as const;
export type Parting = (typeof PARTINGS)[number];

/** Where a plate is not bench, 1 or 0 for each pixel, by each way of parting. */
export function partedFrom(plate: Plate): Readonly<Record<Parting, Uint8Array>> {
  const [usual, noShadow] = unlikeBench(plate, [SHADOW_SHARE, 0]).map(logOf) as [Float32Array, Float32Array];
  const line = lineOf(usual);
  return {
    usual: over(usual, line),
    noShadow: over(noShadow, lineOf(noShadow)),
    strong: over(usual, otsu(usual.filter((each) => each >= line))),
  };
}

/** In place: a plate has a million of them. */
function logOf(unlike: Float32Array): Float32Array {
  for (let i = 0; i < unlike.length; i++) unlike[i] = Math.log1p(unlike[i] as number);
  return unlike;
}
const lineOf = (unlike: Float32Array) => Math.max(otsu(unlike), LEAST_UNLIKE);
function over(unlike: Float32Array, line: number): Uint8Array {
  const things = new Uint8Array(unlike.length);
  for (let i = 0; i < things.length; i++) things[i] = (unlike[i] as number) >= line ? 1 : 0;
  return things;
}

/** Where a plate is not bench, in the usual way. */
function notBench(plate: Plate): Uint8Array {
  const unlike = logOf(unlikeBench(plate)[0] as Float32Array);
  return over(unlike, lineOf(unlike));
}

/** What is parted by two pixels and less is one: grown by one twice, and shrunk again. */
export function closed(things: Uint8Array, width: number): Uint8Array {
  const grown = [1, 1].reduce((now) => spread(now, width, 1), things);
  return [0, 0].reduce((now) => spread(now, width, 0), grown);
}

/** Each pixel beside one of this kind becomes one. */
function spread(things: Uint8Array, width: number, kind: 0 | 1): Uint8Array {
  return things.map((now, at) => {
    const x = at % width;
    const isBeside =
      (x > 0 && things[at - 1] === kind) ||
      (x < width - 1 && things[at + 1] === kind) ||
      things[at - width] === kind ||
      things[at + width] === kind;
    return isBeside ? kind : now;
  });
}

/** Everything on the bench that is not too small to be told, the largest first. */
export function thingsOn(plate: Plate, things = notBench(plate)): readonly Thing[] {
  const { width, height } = plate;
  return patchesIn(things, width)
    .filter((pixels) => pixels.length >= NOTHING * width * height)
    .sort((p, q) => q.length - p.length)
    .map((pixels) => {
      const rim = outermost(pixels, width);
      const touching = rim.filter(([x, y]) => x < 2 || y < 2 || x > width - 3 || y > height - 3).length;
      return { pixels, width, height, rim, isCut: touching > CUT_OFF * rim.length + 1 };
    });
}

interface Looked {
  /** Where the plate is not bench, where that is known already. */
  readonly things?: Uint8Array;
  readonly isOther?: ((thing: Thing) => boolean) | undefined;
}

/** The largest of them, where it can be read. */
export function largestThing(plate: Plate, { things, isOther = () => false }: Looked = {}): Thing | ThingRefusal {
  const thing = thingsOn(plate, things).find((each) => !isOther(each));
  if (!thing) return 'noGear';
  if (thing.pixels.length < LEAST_AREA * plate.width * plate.height) return 'tooSmall';
  return thing.isCut ? 'cutOff' : thing;
}

/** Threshold that parts two heaps best (Otsu 1979). */
export function otsu(values: Float32Array): number {
  const BINS = 128;
  let low = Infinity;
  let high = -Infinity;
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  const counts = new Float64Array(BINS);
  const width = (high - low) / BINS || 1;
  for (const value of values) {
    const bin = Math.min(BINS - 1, Math.floor((value - low) / width));
    counts[bin] = (counts[bin] as number) + 1;
  }
  const all = counts.reduce((sum, count, i) => sum + count * i, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  for (let i = 0; i < BINS - 1; i++) {
    below += counts[i] as number;
    sumBelow += (counts[i] as number) * i;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sumBelow / below - (all - sumBelow) / above) ** 2;
    if (between > best) [best, at] = [between, i];
  }
  return low + (at + 1) * width;
}

/** Pixels of each patch, four neighbours each. */
function patchesIn(things: Uint8Array, width: number): readonly (readonly number[])[] {
  const seen = new Uint8Array(things.length);
  const patches: number[][] = [];
  for (let start = 0; start < things.length; start++) {
    if (seen[start] || things[start] === 0) continue;
    const patch = [start];
    seen[start] = 1;
    for (let i = 0; i < patch.length; i++) {
      const at = patch[i] as number;
      const x = at % width;
      const beside = [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width < things.length ? at + width : -1];
      for (const next of beside) {
        if (next < 0 || seen[next] || things[next] === 0) continue;
        seen[next] = 1;
        patch.push(next);
      }
    }
    patches.push(patch);
  }
  return patches;
}

/** First and last pixel of each row of a patch, as points. */
function outermost(patch: readonly number[], width: number): Thing['rim'] {
  const rows = new Map<number, [number, number]>();
  for (const at of patch) {
    const [x, y] = [at % width, Math.floor(at / width)];
    const row = rows.get(y);
    if (!row) rows.set(y, [x, x]);
    else rows.set(y, [Math.min(row[0], x), Math.max(row[1], x)]);
  }
  return [...rows].flatMap(([y, [left, right]]): (readonly [number, number])[] => [
    [left, y + 0.5],
    [right + 1, y + 0.5],
  ]);
}
