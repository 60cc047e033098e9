import { loft, type Corner, type Hub, type Solid } from './loft.ts';
import { turned, type Point } from './polyline.ts';

/** Rings counter-clockwise: an outline and at most one hole of it. */
export interface Face {
  readonly outline: readonly Point[];
  readonly hole?: readonly Point[] | undefined;
}

interface SolidOptions {
  readonly face: Face;
  readonly heightMm: number;
  /** How far the top is turned against the foot, in radians, and in how many layers that is drawn. */
  readonly twist: number;
  readonly layers: number;
  readonly hub?: Hub | undefined;
}

/** A face drawn up into a closed body, turned on the way where it is a helical gear's, with a hub on its top; a bore stands straight. */
export const solidOf = ({ face: { outline, hole }, heightMm, twist, layers, hub }: SolidOptions): Solid =>
  loft({
    rings: Array.from({ length: layers + 1 }, (_, i) =>
      turned(outline, (twist * i) / layers).map(([x, y]): Corner => [x, y, (heightMm * i) / layers]),
    ),
    hole,
    hub,
  });

/** The body drawn out in all three directions, for what it will shrink. */
export const scaled = ({ vertices, triangles }: Solid, by: number): Solid => ({
  vertices: vertices.map(([x, y, z]): Corner => [x * by, y * by, z * by]),
  triangles,
});

const ORIGIN = [0, 0, 0] as const;

/** Volume inside, by the sum of the tetrahedra to the origin. mm³ */
export const volumeOf = ({ vertices, triangles }: Solid): number =>
  triangles.reduce((sum, [a, b, c]) => {
    const [px, py, pz] = vertices[a] ?? ORIGIN;
    const [qx, qy, qz] = vertices[b] ?? ORIGIN;
    const [rx, ry, rz] = vertices[c] ?? ORIGIN;
    return sum + (px * (qy * rz - qz * ry) - py * (qx * rz - qz * rx) + pz * (qx * ry - qy * rx)) / 6;
  }, 0);

/** Whether every edge is gone along once each way: the body is closed and its outside is one side. */
export function isClosed({ triangles }: Solid): boolean {
  const ways = new Map<string, number>();
  for (const [a, b, c] of triangles) for (const edge of [`${a}/${b}`, `${b}/${c}`, `${c}/${a}`]) ways.set(edge, (ways.get(edge) ?? 0) + 1);
  return [...ways].every(([edge, times]) => {
    const [from, to] = edge.split('/');
    return times === 1 && ways.get(`${to}/${from}`) === 1;
  });
}
