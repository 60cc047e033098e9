import earcut from 'earcut';
import { areaOf, turned, type Point } from './polyline.ts';

/** Triangles of a closed body, counter-clockwise seen from outside; mm. */
export interface Solid {
  readonly vertices: readonly (readonly [number, number, number])[];
  readonly triangles: readonly (readonly [number, number, number])[];
}

/** Rings counter-clockwise: an outline and at most one hole of it. */
export interface Face {
  readonly outline: readonly Point[];
  readonly hole?: readonly Point[] | undefined;
}

export interface SolidOptions {
  readonly face: Face;
  readonly heightMm: number;
  /** How far the top is turned against the foot, in radians, and in how many layers that is drawn. */
  readonly twist: number;
  readonly layers: number;
  /** A round hub on top: its ring and its height. */
  readonly hub?: { readonly ring: readonly Point[]; readonly heightMm: number } | undefined;
}

/**
 * A face drawn up into a closed body, turned on the way where it is a helical gear's, with a hub on its top. Every edge
 * belongs to two triangles, which is what makes it closed.
 */
export function solidOf({ face, heightMm, twist, layers, hub }: SolidOptions): Solid {
  const vertices: [number, number, number][] = [];
  const triangles: [number, number, number][] = [];
  /** Puts a ring at a height, turned; where its vertices begin. */
  const ring = (points: readonly Point[], z: number, turn: number): number => {
    const first = vertices.length;
    for (const [x, y] of turned(points, turn)) vertices.push([x, y, z]);
    return first;
  };
  /** The wall between two rings of as many points; inward where it is a hole's. */
  const wall = ([low, high]: readonly [number, number], count: number, inward = false) => {
    for (let i = 0; i < count; i++) {
      const j = (i + 1) % count;
      const [a, b, c, d] = [low + i, low + j, high + j, high + i];
      if (inward) triangles.push([a, c, b], [a, d, c]);
      else triangles.push([a, b, c], [a, c, d]);
    }
  };
  /** A flat end between rings that are there already, by their first vertices. */
  const end = (
    outline: { at: number; points: readonly Point[] },
    hole: { at: number; points: readonly Point[] } | undefined,
    up: boolean,
  ) => {
    const flat = [...outline.points, ...(hole?.points ?? [])].flat();
    const found = earcut(flat, hole ? [outline.points.length] : undefined);
    const vertexOf = (i: number) => (i < outline.points.length ? outline.at + i : (hole?.at ?? 0) + i - outline.points.length);
    for (let i = 0; i < found.length; i += 3) {
      const [p, q, r] = [found[i] ?? 0, found[i + 1] ?? 0, found[i + 2] ?? 0];
      const corner = (k: number): Point => [flat[2 * k] ?? 0, flat[2 * k + 1] ?? 0];
      const turnsUp = areaOf([corner(p), corner(q), corner(r)]) > 0;
      triangles.push(turnsUp === up ? [vertexOf(p), vertexOf(q), vertexOf(r)] : [vertexOf(p), vertexOf(r), vertexOf(q)]);
    }
  };
  const { outline, hole } = face;
  const levels = Array.from({ length: layers + 1 }, (_, i) => ({ z: (heightMm * i) / layers, turn: (twist * i) / layers }));
  const outer = levels.map(({ z, turn }) => ring(outline, z, turn));
  // A bore is no helix: it stands straight, and needs no layers of its own.
  const [holeLow, holeTop] = hole ? [ring(hole, 0, 0), ring(hole, heightMm, 0)] : [0, 0];
  for (let i = 0; i < layers; i++) wall([outer[i] ?? 0, outer[i + 1] ?? 0], outline.length);
  const [low, top] = [
    { at: outer[0] ?? 0, points: outline },
    { at: outer[layers] ?? 0, points: turned(outline, twist) },
  ];
  end(low, hole && { at: holeLow, points: hole }, false);
  if (!hub) {
    if (hole) wall([holeLow, holeTop], hole.length, true);
    end(top, hole && { at: holeTop, points: hole }, true);
    return { vertices, triangles };
  }
  const hubFoot = ring(hub.ring, heightMm, 0);
  const hubTop = ring(hub.ring, heightMm + hub.heightMm, 0);
  end(top, { at: hubFoot, points: hub.ring }, true);
  wall([hubFoot, hubTop], hub.ring.length);
  const boreTop = hole ? ring(hole, heightMm + hub.heightMm, 0) : 0;
  if (hole) wall([holeLow, boreTop], hole.length, true);
  end({ at: hubTop, points: hub.ring }, hole && { at: boreTop, points: hole }, true);
  return { vertices, triangles };
}

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
