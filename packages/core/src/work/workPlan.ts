import { openingTo, stepsThatFree } from '../access/opening.ts';
import { reassembly } from '../access/reassembly.ts';
import { longest, stepsNamed, type ClosingStep, type PutBack, type Step, type Wait, type WhileOpen } from '../access/step.ts';
import { CoreFailure, fail } from '../failure/CoreFailure.ts';
import { LAST, ON_THE_WHOLE } from './desks.ts';
import { inTurn } from './inTurn.ts';
import type { Remedy } from './remedy.ts';
import type { TaskKind, WorkPlan, WorkTask } from './schema.ts';

type After = WorkTask['after'][number];
/** Of a setting what its place on the way back hangs on. */
interface Setting {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly desk: string;
  readonly minutes?: number | undefined;
}
interface Proof {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly phase: string;
  readonly cautions: readonly string[];
  readonly afterDays: readonly number[];
}

/** What of a family the plan is made from. */
export interface WorkFamily {
  readonly steps: readonly Step[];
  readonly closing: readonly ClosingStep[];
  readonly whileOpen: readonly WhileOpen[];
  readonly settings: readonly Setting[];
  readonly proofs: readonly Proof[];
}

interface WorkAsked {
  /** What is done, each with where it was asked for. */
  readonly remedies: readonly { readonly remedy: Remedy; readonly path: string }[];
  readonly besides: readonly WhileOpen[];
  readonly opened: readonly string[];
  readonly stuck: readonly string[];
  readonly done: readonly string[];
}

/** What setting something takes where the family does not say (guides, shop judgement). */
const MINUTES_AT: Readonly<Record<string, number>> = {
  shims: 15,
  standOff: 5,
  eccentric: 15,
  backlash: 10,
  rimPlay: 5,
  timing: 10,
  oneWay: 2,
  seal: 5,
  lock: 2,
  torque: 2,
  fill: 3,
  afterwards: 3,
};
const PHASES = ['hand', 'unloaded', 'inUse', 'later'];
const DAY = 24 * 60;

/**
 * One plan of the work for all that is done: the cheapest opening that it needs, the work with its waits, the way back with each
 * setting where it can still be reached, the proofs by their phases.
 * @throws CoreFailure at `stuck` where a step that will not come bars the way, at the remedy where none leads there at all
 */
export function workPlan(family: WorkFamily, asked: WorkAsked): WorkPlan {
  const isDone = new Set(asked.done);
  const steps = openingFor(family, asked);
  const plan = (order: readonly Step[], keepOrder: boolean) => {
    const tasks = tasksOf(family, asked, order);
    const left = tasks.filter(({ id }) => !isDone.has(id));
    return inTurn(left, { keepOrder });
  };
  const inSteps = ({ order }: ReturnType<typeof plan>) =>
    stepsNamed(
      steps,
      order.flatMap(({ kind, ref }) => (kind === 'open' ? [ref] : [])),
    );
  // The way back goes by the order of the opening: what goes in another order is closed in another.
  const asListed = plan(steps, true);
  const sooner = plan(inSteps(plan(steps, false)), false);
  const best = endsHome(sooner) < endsHome(asListed) ? sooner : asListed;
  const byHand = best.order.filter(({ hands, kind, ref }) => hands > 0 && !isLater(family, kind, ref));
  const sum = (list: readonly WorkTask[], minutes: (task: WorkTask) => number) => list.reduce((total, each) => total + minutes(each), 0);
  const refs = (kind: TaskKind) => best.order.flatMap((each) => (each.kind === kind ? [each.ref] : []));
  return {
    steps: [...best.order],
    minutes: sum(byHand, ({ minutes }) => minutes),
    atWorst: sum(byHand, ({ atWorst }) => atWorst),
    minutesBack: sum(
      byHand.filter(({ kind }) => kind === 'close' || kind === 'set'),
      ({ minutes }) => minutes,
    ),
    elapsedMinutes: endsHome(best),
    tools: [...new Set(best.order.flatMap(({ tools }) => tools))],
    parts: asked.remedies.flatMap(({ remedy }) => remedy.parts),
    settings: refs('set'),
    proofs: refs('prove'),
  };

  function endsHome({ order, ends }: { order: readonly WorkTask[]; ends: number }): number {
    const later = order.filter(({ kind, ref }) => isLater(family, kind, ref));
    return later.length === 0
      ? ends
      : inTurn(
          order.filter((each) => !later.includes(each)),
          { keepOrder: true },
        ).ends;
  }
}

/** The plan of these remedies from what is open; null where what will not come bars the way. */
export function planIfAny(
  family: WorkFamily,
  remedies: readonly Remedy[],
  { opened, stuck = [] }: { readonly opened: readonly string[]; readonly stuck?: readonly string[] },
): WorkPlan | null {
  try {
    return workPlan(family, { remedies: remedies.map((remedy) => ({ remedy, path: '' })), besides: [], opened, stuck, done: [] });
  } catch (error) {
    if (error instanceof CoreFailure) return null;
    throw error;
  }
}

const isLater = ({ proofs }: WorkFamily, kind: TaskKind, ref: string) =>
  kind === 'prove' && proofs.find(({ id }) => id === ref)?.phase === 'later';

/** The steps of the cheapest opening from which all of it can be done. */
function openingFor(family: WorkFamily, { remedies, besides, opened, stuck }: WorkAsked): readonly Step[] {
  const done = new Set(opened);
  const blocked = new Set(stuck);
  const needs = [...new Set(remedies.flatMap(({ remedy }) => remedy.needs))];
  const places = besides.map(({ at }) => at);
  const found = openingTo(family, places, { done, blocked, besides: needs });
  if (found) return stepsNamed(family.steps, found.steps);
  const alone = remedies.find(({ remedy }) => !openingTo(family, [], { done, besides: remedy.needs }));
  throw fail('noAnswer', alone?.path ?? 'stuck', { reason: 'noWayToWork', given: stuck.join(', ') });
}

const task = (kind: TaskKind, ref: string, given: Pick<WorkTask, 'name' | 'minutes'> & Partial<WorkTask>): WorkTask => ({
  id: `${kind}:${ref}`,
  kind,
  ref,
  atWorst: kind === 'wait' ? given.minutes : 1.5 * given.minutes,
  hands: 1,
  after: [],
  tools: [],
  cautions: [],
  captures: [],
  parts: [],
  loose: [],
  ...given,
});

const behind = (id: string, more: Partial<After> = {}): After => ({ task: id, from: 'end', leastMinutes: 0, ...more });
const waitOf = (owner: string, { name, minutes = 0 }: Wait): WorkTask => task('wait', owner, { name, minutes, hands: 0 });

/** Everything that is to be done, each with what it follows; not yet in turn. */
function tasksOf(family: WorkFamily, asked: WorkAsked, steps: readonly Step[]): readonly WorkTask[] {
  const opening = openTasks(family, asked.opened, steps);
  const work = workTasks(family, asked, opening);
  const open = [...asked.opened, ...steps.map(({ id }) => id)];
  const inside = [...opening, ...work];
  const back = backTasks(family, { asked, open, behind: endsOf(inside) });
  const proofs = proofTasks(family, asked, endsOf([...inside, ...back]));
  return [...inside, ...back, ...proofs];
}

/** What nothing else follows. */
function endsOf(tasks: readonly WorkTask[]): readonly After[] {
  const followed = new Set(tasks.flatMap(({ after }) => after.map(({ task: id }) => id)));
  return tasks.filter(({ id }) => !followed.has(id)).map(({ id }) => behind(id));
}

/** The opening: each step after those that it needs, and after what they have to wait for. */
function openTasks({ steps: all }: WorkFamily, opened: readonly string[], steps: readonly Step[]): readonly WorkTask[] {
  const here = new Set(steps.map(({ id }) => id));
  return steps.flatMap((step, i) => {
    const before = [...step.needs, ...step.ways.flat()].filter((id) => here.has(id) && steps.findIndex((each) => each.id === id) < i);
    const own = task('open', step.id, {
      name: step.name,
      minutes: step.minutes,
      atWorst: longest(step),
      hands: step.helper ? 2 : 1,
      after: before.map((id) => behind(all.some((each) => each.id === id && each.wait) ? `wait:${id}` : `open:${id}`)),
      tools: step.tools,
      cautions: step.cautions,
      captures: step.captures,
      loose: step.loose,
    });
    if (!step.wait) return [own];
    return [own, { ...waitOf(step.id, step.wait), after: [behind(own.id)] }];
  });
}

/** The repair itself, piece after piece of each remedy, and what is done besides. */
function workTasks(family: WorkFamily, { remedies, besides }: WorkAsked, opening: readonly WorkTask[]): readonly WorkTask[] {
  const there = new Set(opening.map(({ id }) => id));
  const reached = (needs: readonly string[]) =>
    needs.flatMap((id) => [`wait:${id}`, `open:${id}`].find((each) => there.has(each)) ?? []).map((id) => behind(id));
  const works = remedies.flatMap(({ remedy }) => {
    const list: WorkTask[] = [];
    remedy.work.forEach((piece, i) => {
      const ref = `${remedy.id}/${piece.id}`;
      const before = remedy.work[i - 1];
      const last = list.at(-1);
      const after = last
        ? [
            ...(last.kind === 'wait' ? [behind(last.id)] : []),
            behind(`do:${remedy.id}/${before?.id}`, {
              leastMinutes: before?.wait?.minutes ?? 0,
              ...(before?.wait?.most !== undefined && { mostMinutes: before.wait.most }),
            }),
          ]
        : reached(remedy.needs);
      list.push(
        task('do', ref, {
          name: piece.name,
          minutes: piece.minutes,
          atWorst: longest(piece),
          hands: piece.hands,
          after,
          tools: piece.tools,
          cautions: piece.cautions,
          ...(i === 0 && { captures: remedy.captures, loose: remedy.loose, parts: remedy.parts }),
        }),
      );
      if (piece.wait && piece.wait.minutes > 0) {
        list.push({
          ...waitOf(ref, { id: piece.id, name: piece.name, minutes: piece.wait.minutes, why: '' }),
          after: [behind(`do:${ref}`)],
        });
      }
    });
    return list;
  });
  const small = besides.map((each) =>
    task('do', each.id, { name: each.name, minutes: each.minutes, after: reached(stepsThatFree(family, each.at)) }),
  );
  return [...works, ...small];
}

interface Back {
  readonly asked: WorkAsked;
  readonly open: readonly string[];
  readonly behind: readonly After[];
}

/** The way back, with each setting where the family does it, or else before its place is closed; what is filled last of all. */
function backTasks(family: WorkFamily, { asked, open, behind: first }: Back): readonly WorkTask[] {
  const pieces = reassembly(family, open);
  const linked = new Map(family.closing.flatMap(({ id, setting }) => (setting ? [[setting, id] as const] : [])));
  const brought = new Set(asked.remedies.flatMap(({ remedy }) => remedy.settings));
  const wanted = family.settings.filter(({ id }) => brought.has(id) || pieces.some((piece) => piece.id === linked.get(id)));
  const placed: (Place & { readonly setting: Setting })[] = [];
  for (const setting of wanted) placed.push({ setting, ...placeOf(family, { setting, pieces, open, linked }, placed.at(-1)?.before) });
  const list: WorkTask[] = [];
  const push = (next: WorkTask) => {
    const last = list.at(-1);
    list.push({ ...next, after: last ? [behind(last.id)] : [...first] });
  };
  const set = (at: number) =>
    placed
      .filter(({ before }) => before === at)
      .forEach(({ setting: { id, name, desk, minutes }, isLinked }) =>
        push(task('set', id, { name, minutes: isLinked ? 0 : (minutes ?? MINUTES_AT[desk] ?? 5) })),
      );
  pieces.forEach((piece, i) => {
    set(i);
    push(task('close', piece.id, { name: piece.name, minutes: piece.minutes, hands: piece.helper ? 2 : 1, cautions: piece.cautions }));
    if (piece.wait) push(waitOf(piece.id, piece.wait));
  });
  set(pieces.length);
  return list;
}

interface Place {
  readonly before: number;
  readonly isLinked: boolean;
}

interface Placing {
  readonly setting: Setting;
  readonly pieces: readonly PutBack[];
  readonly open: readonly string[];
  readonly linked: ReadonlyMap<string, string>;
}

/**
 * Before which piece of the way back something is set. Desks that reach into the machine work while their place lies open; a torque
 * follows the piece that it tightens; what is measured on the whole follows what was set before it; oil comes last of all.
 */
function placeOf(family: WorkFamily, { setting, pieces, open, linked }: Placing, previous: number | undefined): Place {
  const linkedTo = pieces.findIndex(({ id }) => id === linked.get(setting.id));
  if (linkedTo >= 0) return { before: linkedTo + 1, isLinked: true };
  const free = stepsThatFree(family, setting.at).filter((id) => open.includes(id));
  const lastOut = pieces.findLastIndex(({ closes }) => closes.some((id) => free.includes(id)));
  const end = { before: pieces.length, isLinked: false };
  if (LAST.includes(setting.desk)) return end;
  if (ON_THE_WHOLE.includes(setting.desk)) return previous === undefined ? end : { before: previous, isLinked: false };
  if (lastOut < 0) return end;
  return { before: setting.desk === 'torque' ? lastOut + 1 : lastOut, isLinked: false };
}

/** By hand, with the load off, in use; and what is looked at again after days. */
function proofTasks({ proofs }: WorkFamily, { remedies }: WorkAsked, first: readonly After[]): readonly WorkTask[] {
  const brought = new Set(remedies.flatMap(({ remedy }) => remedy.proofs));
  const wanted = PHASES.flatMap((phase) => proofs.filter((each) => each.phase === phase && brought.has(each.id)));
  const list: WorkTask[] = [];
  for (const { id, name, minutes, cautions, phase, afterDays } of wanted) {
    const last = list.at(-1);
    const isAgain = phase === 'later';
    const after = isAgain ? (list.findLast((each) => !isLater({ proofs } as WorkFamily, each.kind, each.ref)) ?? null) : (last ?? null);
    const lag = isAgain ? { leastMinutes: DAY * (afterDays[0] ?? 0) } : {};
    list.push(
      task('prove', id, {
        name,
        minutes,
        cautions: [...cautions],
        after: after ? [behind(after.id, lag)] : first.map((each) => ({ ...each, ...lag })),
      }),
    );
  }
  return list;
}
