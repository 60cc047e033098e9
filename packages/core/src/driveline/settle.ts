import type { Joint } from './schema.ts';
import { bodiesOf, tieOf } from './transmission.ts';
import { type Question } from './question.ts';

export interface Known {
  readonly value: number;
  /** The joint the value came through; null where it was put in. */
  readonly via: string | null;
  /** Behind teeth that jump under load: it moves, but less. */
  readonly less: boolean;
}

export interface Settled {
  readonly known: ReadonlyMap<string, Known>;
  readonly locked: ReadonlySet<string>;
  /** True where motion put in was stopped by something that cannot move. */
  readonly stoppedDrive: boolean;
}

interface Frame extends Question {
  readonly tied: readonly Joint[];
  readonly skipping: ReadonlySet<string>;
  readonly stuck: ReadonlySet<string>;
}

/**
 * Spreads what is known (rest first, then the drive) over the tied joints until nothing is left to say.
 * Two answers for one body mean that the chain binds: everything rigidly tied to it then stands.
 */
export function settle(frame: Frame): Settled {
  const rest = new Set([...frame.stuck, ...frame.held]);
  const jam = new Set(frame.stuck);
  let stoppedDrive = false;
  for (;;) {
    const known = new Map<string, Known>();
    const locked = reach(frame.tied, jam, restOf(frame.tied, rest));
    for (const id of rest) known.set(id, AT_REST);
    let bound = propagate(frame, known);
    for (const [id, value] of frame.drive) {
      if (bound !== null) break;
      if (jam.has(id)) {
        stoppedDrive ||= value !== 0;
        continue;
      }
      const there = known.get(id);
      if (there && !same(there.value, value)) bound = id;
      else known.set(id, { value, via: null, less: false });
      bound ??= propagate(frame, known);
    }
    bound ??= propagateFreely(frame, known);
    if (bound === null) return { known, locked, stoppedDrive };
    // Everything tied to the clash, and the drive that ran into it, becomes one standing block.
    for (const id of reach(frame.tied, new Set([bound]), known)) {
      jam.add(id);
      rest.add(id);
    }
  }
}

const AT_REST: Known = { value: 0, via: null, less: false };

const same = (p: number, q: number) => Math.abs(p - q) <= 1e-9 * Math.max(1, Math.abs(p), Math.abs(q));

/** What stands because it is tied to rest alone, whatever is driven. */
function restOf(tied: readonly Joint[], rest: ReadonlySet<string>): ReadonlyMap<string, Known> {
  const known = new Map<string, Known>([...rest].map((id) => [id, AT_REST]));
  propagate({ tied, skipping: new Set() }, known);
  return known;
}

/**
 * Everything rigidly tied to the seeds. A differential passes rest on only where all its three
 * bodies are known to take part: one free axle lets the others move.
 */
function reach(tied: readonly Joint[], seeds: ReadonlySet<string>, known: ReadonlyMap<string, Known>): ReadonlySet<string> {
  const found = new Set(seeds);
  for (let grew = true; grew;) {
    grew = false;
    for (const joint of tied) {
      const bodies = bodiesOf(joint);
      if (joint.type === 'differential' && !bodies.every((id) => known.has(id))) continue;
      if (!bodies.some((id) => found.has(id))) continue;
      for (const id of bodies) {
        if (found.has(id)) continue;
        found.add(id);
        grew = true;
      }
    }
  }
  return found;
}

/** Sound joints speak first, jumping teeth after: a body with a sound way to the drive is not called slow. */
function propagate({ tied, skipping }: Pick<Frame, 'tied' | 'skipping'>, known: Map<string, Known>): string | null {
  for (let grew = true; grew;) {
    grew = false;
    for (const sound of [true, false]) {
      for (const joint of tied) {
        if (skipping.has(joint.id) === sound) continue;
        const news = imply(joint, known, skipping.has(joint.id));
        if (!news) continue;
        const there = known.get(news.body);
        if (!there) {
          known.set(news.body, news.known);
          grew = true;
        } else if (!same(there.value, news.known.value) && !there.less && !news.known.less) return news.body;
      }
      if (grew) break;
    }
  }
  return null;
}

/** Where a differential is left with a choice: both axles follow the case; a case nobody drives stays put. */
function propagateFreely(frame: Frame, known: Map<string, Known>): string | null {
  for (;;) {
    const free = frame.tied.find((joint) => joint.type === 'differential' && bodiesOf(joint).filter((id) => known.has(id)).length === 1);
    if (free?.type !== 'differential') return null;
    const ofCase = known.get(free.case);
    const less = (ofCase?.less ?? false) || frame.skipping.has(free.id);
    if (ofCase) known.set(free.left, { value: ofCase.value, via: free.id, less });
    else known.set(free.case, { value: 0, via: free.id, less: false });
    const bound = propagate(frame, known);
    if (bound !== null) return bound;
  }
}

function imply(joint: Joint, known: ReadonlyMap<string, Known>, skips: boolean): { body: string; known: Known } | null {
  const tie = tieOf(joint);
  const say = (body: string, value: number, less: boolean) => ({
    body,
    known: { value, via: joint.id, less: (less || skips) && value !== 0 },
  });
  if (tie) {
    const from = known.get(tie.from);
    const to = known.get(tie.to);
    if (from) return say(tie.to, from.value * tie.factor, from.less);
    return to ? say(tie.from, to.value / tie.factor, to.less) : null;
  }
  if (joint.type !== 'differential') return null;
  const [ofCase, left, right] = [known.get(joint.case), known.get(joint.left), known.get(joint.right)];
  if (ofCase && left) return say(joint.right, 2 * ofCase.value - left.value, ofCase.less || left.less);
  if (ofCase && right) return say(joint.left, 2 * ofCase.value - right.value, ofCase.less || right.less);
  return left && right ? say(joint.case, (left.value + right.value) / 2, left.less || right.less) : null;
}
