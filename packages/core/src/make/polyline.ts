export type Point = readonly [x: number, y: number];

/** Turned about the centre, counter-clockwise, by an angle in radians. */
export const turned = (points: readonly Point[], angle: number): readonly Point[] => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return points.map(([x, y]): Point => [x * c - y * s, x * s + y * c]);
};

/** How far from the centre the nearest and the furthest of the points lie, mm; infinite and nought for none. */
export function reachOf(points: readonly Point[]): { readonly least: number; readonly most: number } {
  let [least, most] = [Infinity, 0];
  for (const [x, y] of points) {
    const radius = Math.hypot(x, y);
    least = Math.min(least, radius);
    most = Math.max(most, radius);
  }
  return { least, most };
}

/** Whether two edges of an open line cross, neighbours aside. */
export function crossesItself(line: readonly Point[]): boolean {
  for (let i = 0; i + 1 < line.length; i++)
    for (let k = i + 2; k + 1 < line.length; k++) if (cross([line[i], line[i + 1]] as Edge, [line[k], line[k + 1]] as Edge)) return true;
  return false;
}

type Edge = readonly [Point, Point];

function cross([a, b]: Edge, [c, d]: Edge): boolean {
  // Most edges lie nowhere near each other.
  if (Math.max(a[0], b[0]) < Math.min(c[0], d[0]) || Math.max(c[0], d[0]) < Math.min(a[0], b[0])) return false;
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** No curve of a tooth needs to be halved more often. */
const DEEPEST = 14;
/** Where a piece is looked at for how far its chord lies off: a bend one way is found in the middle, an S beside it. */
const LOOKED_AT = [0.25, 0.5, 0.75] as const;

/**
 * Points along a curve so that no chord lies further off it than the tolerance, the first point and the last included, and
 * the largest distance that was found. The curve from t = 0 to 1, in mm.
 */
export function alongCurve(
  curve: (t: number) => Point,
  toleranceMm: number,
): { readonly points: readonly Point[]; readonly deviationMm: number } {
  const points: Point[] = [curve(0)];
  let deviationMm = 0;
  const go = (from: number, to: number, depth: number): void => {
    const [start, end] = [curve(from), curve(to)];
    const off = Math.max(...LOOKED_AT.map((share) => offChord(curve(from + (to - from) * share), start, end)));
    if (off > toleranceMm && depth < DEEPEST) {
      const middle = (from + to) / 2;
      go(from, middle, depth + 1);
      go(middle, to, depth + 1);
      return;
    }
    deviationMm = Math.max(deviationMm, off);
    points.push(end);
  };
  // An S whose chord runs through all three points would pass for straight: no curve is taken in fewer than two pieces.
  go(0, 0.5, 0);
  go(0.5, 1, 0);
  return { points, deviationMm };
}

function offChord([x, y]: Point, [x0, y0]: Point, [x1, y1]: Point): number {
  const length = Math.hypot(x1 - x0, y1 - y0);
  return length === 0 ? Math.hypot(x - x0, y - y0) : Math.abs((x1 - x0) * (y0 - y) - (x0 - x) * (y1 - y0)) / length;
}

/** An arc about the centre, from one angle to another (radians), closer to the circle than the tolerance; without its last point. */
export function arc(
  radiusMm: number,
  [from, to]: readonly [number, number],
  toleranceMm: number,
): { points: readonly Point[]; deviationMm: number } {
  const widest = 2 * Math.acos(Math.max(0, 1 - Math.min(1, toleranceMm / radiusMm)));
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / widest));
  const step = (to - from) / count;
  const points = Array.from({ length: count }, (_, i): Point => {
    const angle = from + i * step;
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
  });
  return { points, deviationMm: radiusMm * (1 - Math.cos(step / 2)) };
}

/** Twice the area would be the sum of crosses; counter-clockwise is above nought. mm² */
export function areaOf(polygon: readonly Point[]): number {
  return polygon.reduce((sum, [x, y], i) => {
    const [x1, y1] = polygon[(i + 1) % polygon.length] as Point;
    return sum + (x * y1 - y * x1) / 2;
  }, 0);
}

/** Points nearer to each other than this are one: a file keeps a tenth of a µm. mm */
const SAME_POINT = 2e-4;

/** The polygon without points that lie on their neighbour, the last and the first included. */
export const withoutDoubles = (polygon: readonly Point[]): readonly Point[] =>
  polygon.filter(([x, y], i) => {
    const [x1, y1] = polygon[(i + 1) % polygon.length] as Point;
    return Math.hypot(x1 - x, y1 - y) > SAME_POINT;
  });

/** Each corner moved outwards (counter-clockwise outlines) so that every edge lies this far out; below nought inwards. mm */
export const offset = (polygon: readonly Point[], byMm: number): readonly Point[] =>
  polygon.map(([x, y], i) => {
    const [x0, y0] = polygon[(i + polygon.length - 1) % polygon.length] as Point;
    const [x1, y1] = polygon[(i + 1) % polygon.length] as Point;
    const before = unit([y - y0, x0 - x]);
    const after = unit([y1 - y, x - x1]);
    const middle = unit([before[0] + after[0], before[1] + after[1]]);
    const slant = middle[0] * before[0] + middle[1] * before[1];
    // A corner sharper than this would run out into a spike.
    const reach = byMm / Math.max(slant, 0.3);
    return [x + middle[0] * reach, y + middle[1] * reach];
  });

const unit = ([x, y]: Point): Point => {
  const length = Math.hypot(x, y);
  return length === 0 ? [0, 0] : [x / length, y / length];
};
