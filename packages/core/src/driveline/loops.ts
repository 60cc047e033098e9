import { same, type Frame, type MotionEstimate } from './known.ts';
import type { Joint } from './schema.ts';
import { bodiesOf, tieOf } from './transmission.ts';

type Differential = Extract<Joint, { type: 'differential' }>;

/** What the equations say of bodies that no single joint could speak for, or a body where they contradict each other. */
export type LoopsAnswer = { readonly news: readonly (readonly [body: string, known: MotionEstimate])[] } | { readonly bound: string };

/**
 * Loops through differentials: two axles geared together, an axle tied to its case. Bodies that ties hold
 * together share one unknown; each differential is one linear equation between three of those,
 * left + right = 2·case. What the equations determine is known, what they leave open stays open.
 */
export function solveLoops(frame: Frame, known: ReadonlyMap<string, MotionEstimate>): LoopsAnswer {
  const { differentials, open } = openRegion(frame, known);
  if (differentials.length === 0) return { news: [] };
  const groups = new Groups();
  for (const joint of open.joints) {
    const tie = tieOf(joint);
    if (tie && !groups.tie(tie.from, tie.to, tie.factor)) return { bound: tie.to };
  }
  const system = new Equations();
  for (const differential of differentials) {
    const row = new Map<string, number>();
    let constant = 0;
    for (const [body, share] of [[differential.left, 1] as const, [differential.right, 1] as const, [differential.case, -2] as const]) {
      const there = known.get(body);
      if (there) constant -= share * there.value;
      else {
        const { root, factor } = groups.of(body);
        row.set(root, (row.get(root) ?? 0) + share * factor);
      }
    }
    if (!system.add(row, constant)) return { bound: movingOf(differentials, known) ?? differential.case };
  }
  const solved = system.determined();
  const less = differentials.some((each) => bodiesOf(each).some((id) => known.get(id)?.less));
  const via = differentials[0]?.id ?? null;
  const news = [...open.bodies].flatMap((body): [string, MotionEstimate][] => {
    const { root, factor } = groups.of(body);
    const value = solved.get(root);
    return value === undefined ? [] : [[body, { value: value * factor, via, less: less && value !== 0 }]];
  });
  return { news };
}

/** Everything not yet known that hangs together with a differential of which something is known. */
function openRegion({ at, isTied, isSkipping }: Frame, known: ReadonlyMap<string, MotionEstimate>) {
  const bodies = new Set<string>();
  const joints = new Set<Joint>();
  const differentials = new Set<Differential>();
  const queue: string[] = [];
  const take = (joint: Joint) => {
    if (!isTied(joint) || isSkipping(joint)) return;
    if (joint.type === 'differential') differentials.add(joint);
    else joints.add(joint);
    for (const id of bodiesOf(joint)) {
      if (known.has(id) || bodies.has(id)) continue;
      bodies.add(id);
      queue.push(id);
    }
  };
  for (const id of known.keys()) for (const joint of at(id)) if (joint.type === 'differential' && !whollyKnown(joint, known)) take(joint);
  for (let next = queue.pop(); next !== undefined; next = queue.pop()) for (const joint of at(next)) take(joint);
  return { differentials: [...differentials], open: { bodies, joints } };
}

const whollyKnown = (joint: Joint, known: ReadonlyMap<string, MotionEstimate>) => bodiesOf(joint).every((id) => known.has(id));

const movingOf = (differentials: readonly Differential[], known: ReadonlyMap<string, MotionEstimate>): string | undefined =>
  differentials.flatMap(bodiesOf).find((id) => (known.get(id)?.value ?? 0) !== 0);

/** Bodies that ties hold together: each moves a fixed number of times as far as the first of its group. */
class Groups {
  readonly #up = new Map<string, { readonly to: string; readonly factor: number }>();

  of(body: string): { readonly root: string; readonly factor: number } {
    const path: string[] = [];
    let root = body;
    for (let up = this.#up.get(root); up; up = this.#up.get(root)) {
      path.push(root);
      root = up.to;
    }
    // From the far end back, so that each step is shortened to the root.
    let factor = 1;
    for (const leg of path.reverse()) {
      factor *= this.#up.get(leg)?.factor ?? 1;
      this.#up.set(leg, { to: root, factor });
    }
    return { root, factor };
  }

  /** `to` moves `factor` times as far as `from`. False where that contradicts what already ties them. */
  tie(from: string, to: string, factor: number): boolean {
    const [p, q] = [this.of(from), this.of(to)];
    if (p.root === q.root) return same(q.factor / p.factor, factor);
    this.#up.set(q.root, { to: p.root, factor: (factor * p.factor) / q.factor });
    return true;
  }
}

/** Linear equations, Gauss and Jordan's way: each new one is freed of the pivots before it, and they of its own. */
class Equations {
  readonly #rows = new Map<string, Equation>();

  /** Σ row = constant. False where it contradicts what is there. */
  add(given: ReadonlyMap<string, number>, constant: number): boolean {
    const next = { row: new Map(given), constant };
    const size = Math.max(Math.abs(constant), ...[...given.values()].map(Math.abs));
    for (const pivot of given.keys()) subtract(next, this.#rows.get(pivot), pivot);
    const [best] = [...next.row].sort(([, p], [, q]) => Math.abs(q) - Math.abs(p));
    if (!best || Math.abs(best[1]) <= 1e-9 * size) return Math.abs(next.constant) <= 1e-9 * Math.max(1, size);
    const [pivot, by] = best;
    for (const [key, value] of next.row) next.row.set(key, value / by);
    next.constant /= by;
    for (const other of this.#rows.values()) subtract(other, next, pivot);
    this.#rows.set(pivot, next);
    return true;
  }

  determined(): ReadonlyMap<string, number> {
    return new Map([...this.#rows].filter(([, { row }]) => row.size === 1).map(([pivot, { constant }]) => [pivot, constant]));
  }
}

interface Equation {
  readonly row: Map<string, number>;
  constant: number;
}

/** Takes the pivot out of an equation by the one that is solved for it. */
function subtract(from: Equation, solved: Equation | undefined, pivot: string): void {
  const times = from.row.get(pivot);
  if (!solved || times === undefined || from === solved) return;
  for (const [key, value] of solved.row) {
    const left = (from.row.get(key) ?? 0) - times * value;
    if (key === pivot || Math.abs(left) <= 1e-12 * Math.abs(times * value)) from.row.delete(key);
    else from.row.set(key, left);
  }
  from.constant -= times * solved.constant;
}
