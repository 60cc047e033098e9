import { unlikeBench } from './background.ts';
import { frameOf, type Frame } from './frame.ts';
import { convexHull, type Point } from './hull.ts';
import { robustFit } from '../inference/leastSquares.ts';
import type { Plate } from './picture.ts';

export type DiscRefusal = 'noGear' | 'cutOff' | 'tooSmall';

/** Share of the picture that a gear has to cover at least. */
const LEAST_AREA = 0.02;
/** However Otsu parts them: nearer to the bench than this many of its spreads is bench. */
const LEAST_UNLIKE = Math.log1p(3.5);
/** Share of the rim's points that may lie on the picture's edge. */
const CUT_OFF = 0.02;

/** The thing on the bench: the largest patch that is unlike the bench, and the ellipse round it. In pixels of the plate. */
export function findDisc(plate: Plate): Frame | DiscRefusal {
  const { width, height } = plate;
  const unlike = unlikeBench(plate).map(Math.log1p);
  const patch = largestPatch(unlike, Math.max(otsu(unlike), LEAST_UNLIKE), width, height);
  if (patch.length < LEAST_AREA * width * height) return patch.length < 0.002 * width * height ? 'noGear' : 'tooSmall';
  const rim = outermost(patch, width);
  const touching = rim.filter(([x, y]) => x < 2 || y < 2 || x > width - 3 || y > height - 3).length;
  if (touching > CUT_OFF * rim.length + 1) return 'cutOff';
  return roundEllipse(convexHull(rim));
}

/** The ellipse through most of the points: radius over angle with its first two harmonics, about a centre that follows. */
export function roundEllipse(points: readonly Point[]): Frame | DiscRefusal {
  let frame = frameOf(
    points.reduce((sum, [x]) => sum + x, 0) / points.length,
    points.reduce((sum, [, y]) => sum + y, 0) / points.length,
    1,
  );
  const mean = points.reduce((sum, [x, y]) => sum + Math.hypot(x - frame.x, y - frame.y), 0) / points.length;
  frame = frameOf(frame.x, frame.y, mean);
  const rows = () =>
    points.map(([x, y]) => {
      const { radius, angle } = frame.toPlane(x, y);
      const harmonics = points.length < 12 ? [] : [Math.cos(2 * angle), Math.sin(2 * angle)];
      return { factors: [1, Math.cos(angle), Math.sin(angle), ...harmonics], value: radius, weight: 1 };
    });
  for (let round = 0; round < 6; round++) {
    const fit = robustFit(rows(), points.length < 12 ? 3 : 5);
    if (!fit) return 'noGear';
    frame = frame.moved(fit);
  }
  return frame;
}

/** Threshold that parts two heaps best (Otsu 1979). */
export function otsu(values: Float32Array): number {
  const BINS = 128;
  let [low, high] = [Infinity, -Infinity];
  for (const value of values) [low, high] = [Math.min(low, value), Math.max(high, value)];
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

/** Pixels of the largest patch over the threshold, four neighbours each. */
function largestPatch(values: Float32Array, threshold: number, width: number, height: number): readonly number[] {
  const seen = new Uint8Array(values.length);
  let largest: number[] = [];
  for (let start = 0; start < values.length; start++) {
    if (seen[start] || (values[start] as number) < threshold) continue;
    const patch = [start];
    seen[start] = 1;
    for (let i = 0; i < patch.length; i++) {
      const at = patch[i] as number;
      const x = at % width;
      const beside = [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width < width * height ? at + width : -1];
      for (const next of beside) {
        if (next < 0 || seen[next] || (values[next] as number) < threshold) continue;
        seen[next] = 1;
        patch.push(next);
      }
    }
    if (patch.length > largest.length) largest = patch;
  }
  return largest;
}

/** First and last pixel of each row of a patch, as points. */
function outermost(patch: readonly number[], width: number): readonly Point[] {
  const rows = new Map<number, [number, number]>();
  for (const at of patch) {
    const [x, y] = [at % width, Math.floor(at / width)];
    const row = rows.get(y);
    if (!row) rows.set(y, [x, x]);
    else rows.set(y, [Math.min(row[0], x), Math.max(row[1], x)]);
  }
  return [...rows].flatMap(([y, [left, right]]): Point[] => [
    [left, y + 0.5],
    [right + 1, y + 0.5],
  ]);
}
