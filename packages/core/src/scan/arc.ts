import { quantile, robustFit } from '../inference/leastSquares.ts';
import type { Point } from './hull.ts';
import { longestRun } from './run.ts';

/** A circle on a plate, in its pixels. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** Rays round the whole circle: enough to find where teeth are, and to measure them. */
const RAYS = { first: 720, then: 2880 } as const;
/** How far out and in of the tips is looked, in radii: the fewest teeth of a whole circle (ten) are a fifth of it deep. */
const [OUTMOST, INMOST] = [1.1, 0.72];
/** A tip lies this near to the circle of the tips, in depths of the teeth. */
const AT_TIP = 0.5;

/** Teeth over a part of a circle, one by one. Angles in radians, clockwise from the right as the picture's y runs down; they only grow. */
export interface ToothedArc {
  readonly circle: Circle;
  readonly middles: readonly number[];
  /** How wide each tooth is half way up, radians. */
  readonly widths: readonly number[];
  /** In radii of the circle. */
  readonly tip: number;
  readonly root: number;
  /** Share of the way round that reaches out as far as the roots, or is body well within them. */
  readonly covered: number;
  /** How far the thing reaches out along each ray of the toothed stretch, in radii. */
  readonly reach: Float32Array;
  /** The ray at which that stretch begins, and from one ray to the next. */
  readonly from: number;
  readonly radians: number;
}

/** Well within the roots, and beyond the hub of a sector, in radii. */
const BODY = 0.6;
const placeOn = ({ x, y, radius }: Circle, share: number, angle: number) =>
  [x + share * radius * Math.cos(angle), y + share * radius * Math.sin(angle)] as const;

type IsThing = (x: number, y: number) => boolean;

/** Looks along a few rays from the middle of a circle for teeth on it. Null where there are none. */
export const glimpse = (isThing: IsThing, circle: Circle): ToothedArc | null => teethOn(isThing, circle, RAYS.first);

/** Looks again along many rays, with the circle moved onto the tips each time. Null where they do not hold it. */
export function settled(isThing: IsThing, seen: ToothedArc): ToothedArc | null {
  let arc: ToothedArc | null = seen;
  for (let round = 0; round < 3; round++) {
    const circle: Circle | null = arc && onTips(arc);
    arc = circle && teethOn(isThing, circle, RAYS.then);
  }
  return arc;
}

function teethOn(isThing: IsThing, circle: Circle, rays: number): ToothedArc | null {
  const radians = (2 * Math.PI) / rays;
  const reach = reaches(isThing, circle, rays);
  const first = reach.findIndex((each, i) => each > INMOST && (reach[(i + rays - 1) % rays] as number) <= INMOST);
  if (first < 0 && (reach[0] as number) <= INMOST) return null;
  const rim = reach.reduce((count, each) => count + (each > INMOST ? 1 : 0), 0);
  const body = reach.reduce((count, _, ray) => count + (isThing(...placeOn(circle, BODY, ray * radians)) ? 1 : 0), 0);
  const covered = Math.max(rim, body) / rays;
  // Begun where it rises, so that no stretch is cut in two.
  const begin = Math.max(0, first);
  const rotated = Float32Array.from({ length: rays }, (_, i) => reach[(begin + i) % rays] as number);
  const run = longestRun(rotated, INMOST);
  const from = begin + run.from;
  const line = rotated.subarray(run.from, run.to);
  const [tip, root] = [quantile(line, 0.85), quantile(line, 0.2)];
  const high = tip - root;
  if (high < 0.01) return null;
  const [low, up] = [root + 0.42 * high, root + 0.58 * high];
  const middles: number[] = [];
  const widths: number[] = [];
  let risen = -1;
  for (let i = 0; i <= line.length; i++) {
    const value = i < line.length ? (line[i] as number) : 0;
    if (risen < 0 && value > up) risen = i;
    else if (risen >= 0 && value < low) {
      const crest = Math.max(...line.subarray(risen, i));
      if (Math.abs(crest - tip) < AT_TIP * high) {
        middles.push((from + (risen + i - 1) / 2) * radians);
        widths.push((i - risen) * radians);
      }
      risen = -1;
    }
  }
  return { circle, middles, widths, tip, root, covered, reach: line, from, radians };
}

/** How far out the thing lies along each ray, in radii: nought where it does not reach out as far as is looked. */
function reaches(isThing: IsThing, { x, y, radius }: Circle, rays: number): Float32Array {
  const step = 0.5 / radius;
  return Float32Array.from({ length: rays }, (_, ray) => {
    const angle = (2 * Math.PI * ray) / rays;
    const [c, s] = [Math.cos(angle) * radius, Math.sin(angle) * radius];
    const isIn = (r: number) => isThing(x + c * r, y + s * r);
    for (let at = OUTMOST; at > INMOST; at -= step) if (isIn(at) && isIn(at - 3 * step) && isIn(at - 6 * step)) return at;
    return 0;
  });
}

/** The circle through the tips of the teeth: three unknowns, moved as far as they ask. */
function onTips({ circle, middles, widths, tip, reach, from: start, radians }: ToothedArc): Circle | null {
  if (middles.length < 4) return null;
  const rows = middles.map((at, i) => {
    const half = (widths[i] as number) / 2;
    const [from, to] = [at - half, at + half].map((each) => Math.round(each / radians) - start) as [number, number];
    const crest = reach.subarray(Math.max(0, from), to + 1);
    return { factors: [1, Math.cos(at), Math.sin(at)], value: crest.length === 0 ? tip : quantile(crest, 0.8), weight: 1 };
  });
  const fit = robustFit(rows, 3);
  if (!fit) return null;
  const [size = 1, east = 0, south = 0] = fit;
  return { x: circle.x + east * circle.radius, y: circle.y + south * circle.radius, radius: circle.radius * size };
}

/** Circles on which many of these points lie, the ones along which most of a round is covered first; of like ones the best. */
export function circlesThrough(
  points: readonly Point[],
  { least, most, random }: { readonly least: number; readonly most: number; readonly random: () => number },
): readonly Circle[] {
  const found: { circle: Circle; score: number }[] = [];
  const pick = () => points[Math.floor(random() * points.length)] as Point;
  for (let trial = 0; trial < TRIALS; trial++) {
    const circle = circleOf(pick(), pick(), pick());
    if (!circle || circle.radius < least || circle.radius > most) continue;
    const score = sweep(points, circle);
    const like = found.find(({ circle: other }) => alike(circle, other));
    if (!like) found.push({ circle, score });
    else if (score > like.score) Object.assign(like, { circle, score });
  }
  return found
    .sort((p, q) => q.score - p.score)
    .slice(0, KEPT)
    .map(({ circle }) => circle);
}

const [TRIALS, KEPT] = [600, 6];
/** A point lies on a circle within this share of its radius. */
const ON = 0.006;
const alike = (p: Circle, q: Circle) => Math.hypot(p.x - q.x, p.y - q.y) + Math.abs(p.radius - q.radius) < 0.06 * q.radius;

/** How much of a circle its points go along, in radians times the root of its radius: a larger round is seen surer. */
function sweep(points: readonly Point[], { x, y, radius }: Circle): number {
  const seen = new Set<number>();
  for (const [px, py] of points) {
    if (Math.abs(Math.hypot(px - x, py - y) - radius) < ON * radius) seen.add(Math.round((Math.atan2(py - y, px - x) * 36) / Math.PI));
  }
  return seen.size * Math.sqrt(radius);
}

function circleOf([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): Circle | null {
  const [ux, uy, vx, vy] = [bx - ax, by - ay, cx - ax, cy - ay];
  const cross = 2 * (ux * vy - uy * vx);
  if (Math.abs(cross) < 1e-6) return null;
  const [u, v] = [ux * ux + uy * uy, vx * vx + vy * vy];
  const [x, y] = [(vy * u - uy * v) / cross, (ux * v - vx * u) / cross];
  return { x: ax + x, y: ay + y, radius: Math.hypot(x, y) };
}
