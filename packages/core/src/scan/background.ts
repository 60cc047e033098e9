import type { Plate } from './picture.ts';
import { inverse, leastSquares, median, type Row } from '../inference/leastSquares.ts';

/** Share of the picture's sides that is taken for bench. */
const FRAME = 0.06;
/** Least spread of a bench's colour, in levels: below it everything would stand out. */
const CALMEST = 3;
/** Darker along its own colour counts this much: a shadow is still bench. */
export const SHADOW_SHARE = 0.35;
const DEEPEST_SHADOW = 0.65;

/**
 * How unlike the bench each pixel is, in spreads of the bench's own colour. The bench is what lies along
 * the picture's edge, with light that changes smoothly across it (a quadratic surface for each colour). What is darker along
 * the bench's own colour counts as that share of it: a picture for each of them, by one bench.
 */
export function unlikeBench(plate: Plate, shadowShares: readonly number[] = [SHADOW_SHARE]): readonly Float32Array[] {
  const { width, height, rgb } = plate;
  const frame = framePixels(width, height);
  const terms = frame.map((at) => surfaceTerms((at % width) / width, Math.floor(at / width) / height));
  let weights = new Float32Array(frame.length).fill(1);
  let surface: Surface = [];
  let inverse: Matrix = [];
  for (let round = 0; round < 3; round++) {
    surface = [0, 1, 2].map((c) => {
      const rows: Row[] = frame.map((at, i) => ({
        factors: terms[i] as Terms,
        value: rgb[3 * at + c] as number,
        weight: weights[i] as number,
      }));
      return (leastSquares(rows, 6) ?? [median(rows.map(({ value }) => value)), 0, 0, 0, 0, 0]) as unknown as Terms;
    });
    const off = frame.map(
      (at, i) =>
        ([0, 1, 2] as const).map((c) => (rgb[3 * at + c] as number) - along(surface[c] as Terms, terms[i] as Terms)) as unknown as Colour,
    );
    inverse = inverseSpread(off, weights);
    weights = Float32Array.from(off, (each) => (distance(each, inverse) < 3 ? 1 : 0));
  }
  return shadowShares.map((shadowShare) => distances(plate, surface, { inverse, shadowShare }));
}

/** Per pixel, written out: it is asked a hundred thousand times. */
function distances(
  { width, height, rgb }: Plate,
  surface: Surface,
  { inverse, shadowShare }: { readonly inverse: Matrix; readonly shadowShare: number },
): Float32Array {
  const unlike = new Float32Array(width * height);
  const [p, q, s] = inverse as [Colour, Colour, Colour];
  const [pp, qq, ss, pq, ps, qs] = [p[0], q[1], s[2], 2 * p[1], 2 * p[2], 2 * q[2]];
  const off = new Float64Array(3);
  const bench = new Float64Array(3);
  for (let y = 0; y < height; y++) {
    const v = y / height;
    for (let x = 0; x < width; x++) {
      const u = x / width;
      let square = 1;
      let share = 0;
      for (let c = 0; c < 3; c++) {
        const terms = surface[c] as Terms;
        const level = terms[0] + terms[1] * u + terms[2] * v + terms[3] * u * u + terms[4] * u * v + terms[5] * v * v;
        const difference = (rgb[3 * (y * width + x) + c] as number) - level;
        bench[c] = level;
        off[c] = difference;
        square += level * level;
        share += difference * level;
      }
      share /= square;
      // Darker along the bench's own colour, and not too dark: it may be a shadow.
      if (share < 0 && share > -DEEPEST_SHADOW)
        for (let c = 0; c < 3; c++) off[c] = (off[c] as number) - (1 - shadowShare) * share * (bench[c] as number);
      const r = off[0] as number;
      const g = off[1] as number;
      const b = off[2] as number;
      unlike[y * width + x] = Math.sqrt(Math.max(0, r * r * pp + g * g * qq + b * b * ss + r * g * pq + r * b * ps + g * b * qs));
    }
  }
  return unlike;
}

type Colour = readonly [number, number, number];
type Terms = readonly [number, number, number, number, number, number];
type Surface = readonly Terms[];
type Matrix = readonly Colour[];

function framePixels(width: number, height: number): readonly number[] {
  const [dx, dy] = [Math.max(2, Math.round(width * FRAME)), Math.max(2, Math.round(height * FRAME))];
  const list: number[] = [];
  // Every third pixel of every third row is plenty.
  for (let y = 0; y < height; y += 3) {
    for (let x = 0; x < width; x += 3) if (x < dx || y < dy || x >= width - dx || y >= height - dy) list.push(y * width + x);
  }
  return list;
}

const surfaceTerms = (x: number, y: number): Terms => [1, x, y, x * x, x * y, y * y];
const along = (surface: Terms, terms: Terms) => terms.reduce((sum, term, i) => sum + term * (surface[i] as number), 0);

function distance([r, g, b]: Colour, inverse: Matrix): number {
  const [p, q, s] = inverse as [Colour, Colour, Colour];
  return Math.sqrt(Math.max(0, r * r * p[0] + g * g * q[1] + b * b * s[2] + 2 * (r * g * p[1] + r * b * p[2] + g * b * q[2])));
}

/** Inverse of the covariance of three colours about nought. */
export function inverseSpread(off: readonly Colour[], weights: ArrayLike<number>): Matrix {
  const total = off.reduce((sum, _, i) => sum + (weights[i] as number), 0) || 1;
  const covariance = [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) => {
      const sum = off.reduce((all, each, at) => all + (weights[at] as number) * (each[i] as number) * (each[j] as number), 0);
      return sum / total + (i === j ? CALMEST ** 2 : 0);
    }),
  );
  return (inverse(covariance) ?? covariance.map(() => [0, 0, 0])) as unknown as Matrix;
}
