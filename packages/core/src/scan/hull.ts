export type Point = readonly [x: number, y: number];

/** Convex hull, counter-clockwise (monotone chain, Andrew 1979). n log n. */
export function convexHull(points: readonly Point[]): readonly Point[] {
  const sorted = [...points].sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  const half = (list: readonly Point[]) => {
    const chain: Point[] = [];
    for (const point of list) {
      while (chain.length > 1 && turn(chain.at(-2) as Point, chain.at(-1) as Point, point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

const turn = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point) => (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
