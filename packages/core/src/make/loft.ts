import earcut from 'earcut';
import { areaOf, type Point } from './polyline.ts';

export type Corner = readonly [x: number, y: number, z: number];

/** Triangles of a closed body, counter-clockwise seen from outside; mm. */
export interface Solid {
  readonly vertices: readonly Corner[];
  readonly triangles: readonly (readonly [number, number, number])[];
}

/** A round hub on top of a body: its ring and its height. */
export interface Hub {
  readonly ring: readonly Point[];
  readonly heightMm: number;
}

interface Loft {
  /** From the foot up, each of as many points, counter-clockwise as seen from above. */
  readonly rings: readonly (readonly Corner[])[];
  /** A hole along the z axis, and where it begins and ends; between the end rings where it is not said. */
  readonly hole?: readonly Point[] | undefined;
  readonly holeFromTo?: readonly [number, number] | undefined;
  readonly hub?: Hub | undefined;
}

/**
 * Rings that lie over each other, joined to a closed body; its ends are flat where the ring is, and run to the hole's rim. An end that
 * is not flat must be seen whole from above.
 */
export function loft({ rings, hole, holeFromTo, hub }: Loft): Solid {
  const vertices: Corner[] = [];
  const triangles: [number, number, number][] = [];
  const put = (ring: readonly Corner[]): number => {
    const first = vertices.length;
    vertices.push(...ring);
    return first;
  };
  const wall = (low: number, high: number, count: number) => {
    for (let i = 0; i < count; i++) {
      const j = (i + 1) % count;
      const [a, b, c, d] = [low + i, low + j, high + j, high + i];
      // By the shorter diagonal: a thread is bent one way on one flank and the other way on the other.
      if (apart(vertices[a], vertices[c]) <= apart(vertices[b], vertices[d])) triangles.push([a, b, c], [a, c, d]);
      else triangles.push([a, b, d], [b, c, d]);
    }
  };
  const firsts = rings.map(put);
  const count = rings[0]?.length ?? 0;
  for (let i = 0; i + 1 < rings.length; i++) wall(firsts[i] ?? 0, firsts[i + 1] ?? 0, count);
  const at = (ring: readonly Corner[] | undefined) => ring?.[0]?.[2] ?? 0;
  const [from, to] = holeFromTo ?? [at(rings[0]), at(rings.at(-1))];
  const top = to + (hub?.heightMm ?? 0);
  const flat = (points: readonly Point[], z: number) => points.map(([x, y]): Corner => [x, y, z]);
  const holes = hole ? [from, top].map((z) => put(flat(hole, z))) : [];
  const [low, high] = holes;
  if (hole && low !== undefined && high !== undefined)
    for (let i = 0; i < hole.length; i++) {
      const j = (i + 1) % hole.length;
      triangles.push([low + i, high + j, low + j], [low + i, high + i, high + j]);
    }
  const end = ([ring, corners]: Ends, inner: Ends | undefined, isTop: boolean) => {
    const ids = [...idsFrom(ring, corners), ...(inner ? idsFrom(...inner) : [])];
    const seen = ids.flatMap((id) => vertices[id]?.slice(0, 2) ?? []);
    const found = earcut(seen, inner ? [corners] : undefined);
    for (let i = 0; i < found.length; i += 3) {
      const [p, q, r] = [found[i] ?? 0, found[i + 1] ?? 0, found[i + 2] ?? 0];
      const corner = (k: number): Point => [seen[2 * k] ?? 0, seen[2 * k + 1] ?? 0];
      const [a, b, c] = [ids[p] ?? 0, ids[q] ?? 0, ids[r] ?? 0];
      const turnsUp = areaOf([corner(p), corner(q), corner(r)]) > 0;
      triangles.push(turnsUp === isTop ? [a, b, c] : [a, c, b]);
    }
  };
  const inner = (first: number | undefined): Ends | undefined => (hole && first !== undefined ? [first, hole.length] : undefined);
  end([firsts[0] ?? 0, count], inner(low), false);
  const last: Ends = [firsts.at(-1) ?? 0, count];
  if (!hub) {
    end(last, inner(high), true);
    return { vertices, triangles };
  }
  const [foot, rim] = [put(flat(hub.ring, to)), put(flat(hub.ring, top))];
  end(last, [foot, hub.ring.length], true);
  wall(foot, rim, hub.ring.length);
  end([rim, hub.ring.length], inner(high), true);
  return { vertices, triangles };
}

const apart = ([x0, y0, z0]: Corner = [0, 0, 0], [x1, y1, z1]: Corner = [0, 0, 0]): number => Math.hypot(x1 - x0, y1 - y0, z1 - z0);

/** A ring by its first vertex and how many it has. */
type Ends = readonly [first: number, count: number];

const idsFrom = (first: number, count: number) => Array.from({ length: count }, (_, i) => first + i);
