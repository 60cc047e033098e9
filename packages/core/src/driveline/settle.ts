import { same, type Frame, type MotionEstimate } from './known.ts';
import { solveLoops } from './loops.ts';
import type { Joint } from './schema.ts';
import { bodiesOf, tieOf } from './transmission.ts';

export interface Solution {
  /** In the order in which the motion reached them. */
  readonly known: ReadonlyMap<string, MotionEstimate>;
  readonly locked: ReadonlySet<string>;
  /** True where motion put in was stopped by something that cannot move. */
  readonly stoppedDrive: boolean;
  /** True where something that was to move both ways had to stand. */
  readonly bound: boolean;
}

export interface DriveProblem extends Frame {
  readonly drive: ReadonlyMap<string, number>;
  readonly held: readonly string[];
  readonly stuck: ReadonlySet<string>;
}

/**
 * Spreads what is known (rest first, then the drive) over the tied joints until nothing is left to say.
 * Two answers for one body mean that the chain binds: everything rigidly tied to it then stands.
 */
export function settle(asked: DriveProblem): Solution {
  const { drive, held, stuck } = asked;
  const rest = new Set([...stuck, ...held]);
  const jam = new Set(stuck);
  for (let bound = false; ; bound = true) {
    const known = new Map<string, MotionEstimate>([...rest].map((id) => [id, AT_REST]));
    const locked = reach(asked, jam, restOf(asked, rest));
    for (const [id, value] of drive) if (!jam.has(id)) known.set(id, { value, via: null, less: false });
    const clash = spread(asked, known, [...known.keys()]) ?? spreadFreely(asked, known);
    if (clash === null) return { known, locked, stoppedDrive: [...drive].some(([id, value]) => jam.has(id) && value !== 0), bound };
    const before = jam.size;
    // Everything tied to the clash, and the drive that ran into it, becomes one standing block.
    const block = reach(asked, new Set([clash]), known);
    for (const id of block) {
      jam.add(id);
      rest.add(id);
    }
    if (jam.size === before) for (const id of drive.keys()) jam.add(id);
  }
}

const AT_REST: MotionEstimate = { value: 0, via: null, less: false };

/** What stands because it is tied to rest alone, whatever is driven. */
function restOf(frame: Frame, rest: ReadonlySet<string>): ReadonlyMap<string, MotionEstimate> {
  const known = new Map<string, MotionEstimate>([...rest].map((id) => [id, AT_REST]));
  spread({ ...frame, isSkipping: () => false }, known, [...rest]);
  return known;
}

/**
 * Everything rigidly tied to the seeds. A differential passes rest on only where all its three
 * bodies are known to take part: one free axle lets the others move.
 */
function reach({ at, isTied }: Frame, seeds: ReadonlySet<string>, known: ReadonlyMap<string, MotionEstimate>): ReadonlySet<string> {
  const found = new Set(seeds);
  // A set gives out what is added while it is gone through.
  for (const id of found) {
    for (const joint of at(id)) {
      if (!isTied(joint)) continue;
      const bodies = bodiesOf(joint);
      if (joint.type === 'differential' && !bodies.every((each) => known.has(each))) continue;
      for (const each of bodies) found.add(each);
    }
  }
  return found;
}

/**
 * Spreads from bodies that are new among the known. Sound joints speak first, then the equations of loops,
 * jumping teeth last: a body with a sound way to the drive is not called slow.
 * @returns a body with two answers, null where there is none
 */
function spread(frame: Frame, known: Map<string, MotionEstimate>, fresh: readonly string[]): string | null {
  const skipping = new Set<Joint>();
  for (let queue = [...fresh]; queue.length > 0;) {
    const clash = spreadSound(frame, known, { queue, skipping });
    if (clash !== null) return clash;
    const loops = solveLoops(frame, known);
    if ('bound' in loops) return loops.bound;
    for (const [id, each] of loops.news) known.set(id, each);
    queue = loops.news.map(([id]) => id);
    for (const joint of queue.length === 0 ? skipping : []) {
      const { clash: jumped, news } = hear(frame, known, joint);
      if (jumped !== undefined) return jumped;
      if (news === undefined) continue;
      queue = [news];
      break;
    }
  }
  return null;
}

interface Waiting {
  readonly queue: string[];
  readonly skipping: Set<Joint>;
}

function spreadSound(frame: Frame, known: Map<string, MotionEstimate>, { queue, skipping }: Waiting): string | null {
  for (let i = 0; i < queue.length; i++) {
    for (const joint of frame.at(queue[i] as string)) {
      if (!frame.isTied(joint)) continue;
      if (frame.isSkipping(joint)) {
        skipping.add(joint);
        continue;
      }
      const { clash, news } = hear(frame, known, joint);
      if (clash !== undefined) return clash;
      if (news !== undefined) queue.push(news);
    }
  }
  return null;
}

/** Takes what a joint says into the known: the body that is new among them, or the one that has another answer already. */
function hear(frame: Frame, known: Map<string, MotionEstimate>, joint: Joint): { readonly clash?: string; readonly news?: string } {
  const said = imply(joint, known, frame.isSkipping(joint));
  if (!said) return {};
  const there = known.get(said.body);
  if (there) return same(there.value, said.known.value) || there.less || said.known.less ? {} : { clash: said.body };
  known.set(said.body, said.known);
  return { news: said.body };
}

/** Where a differential is left with a choice: both axles follow the case; a case nobody drives stays put. */
function spreadFreely(frame: Frame, known: Map<string, MotionEstimate>): string | null {
  const differentials = new Set<Joint>();
  const look = (id: string) => {
    for (const joint of frame.at(id)) if (joint.type === 'differential' && frame.isTied(joint)) differentials.add(joint);
  };
  for (;;) {
    for (const id of known.keys()) look(id);
    const free = [...differentials].find((joint) => bodiesOf(joint).filter((id) => known.has(id)).length === 1);
    if (free?.type !== 'differential') return null;
    const ofCase = known.get(free.case);
    const less = (ofCase?.less ?? false) || frame.isSkipping(free);
    const chosen = ofCase ? free.left : free.case;
    known.set(chosen, ofCase ? { value: ofCase.value, via: free.id, less } : { value: 0, via: free.id, less: false });
    const clash = spread(frame, known, [chosen]);
    if (clash !== null) return clash;
  }
}

function imply(joint: Joint, known: ReadonlyMap<string, MotionEstimate>, skips: boolean): { body: string; known: MotionEstimate } | null {
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
