import type { WorkTask } from './schema.ts';

interface Scheduled {
  readonly order: readonly WorkTask[];
  /** When the last of them ends, minutes of the clock. */
  readonly ends: number;
}

/**
 * Tasks in an order in which one mechanic does them: hands do one at a time, waits run beside. A task begins when all that it
 * follows is over by its least, and no task is begun that would let another miss its most: an adhesive that is open, a sealant
 * that skins. `keepOrder` takes what can be begun in the order of the list; else what has the longest way behind it goes first.
 *
 * List scheduling, not a proof of the shortest; the tests hold it against every order of up to eight tasks.
 */
export function inTurn(tasks: readonly WorkTask[], { keepOrder }: { keepOrder: boolean }): Scheduled {
  const known = new Map(tasks.map((task) => [task.id, task]));
  const tails = tailsOf(tasks, known);
  const started = new Map<string, number>();
  const order: WorkTask[] = [];
  let now = 0;
  const endOf = ({ id, minutes }: WorkTask) => (started.get(id) ?? Infinity) + minutes;
  /** When what it follows allows it, and until when; never while something that it follows has not begun. */
  const window = (task: WorkTask) => {
    let [from, until] = [0, Infinity];
    for (const { task: before, from: since, leastMinutes, mostMinutes } of task.after) {
      const other = known.get(before);
      if (!other) continue;
      const at = since === 'start' ? (started.get(before) ?? Infinity) : endOf(other);
      from = Math.max(from, at + leastMinutes);
      if (mostMinutes !== undefined) until = Math.min(until, at + mostMinutes);
    }
    return { from, until };
  };
  const begin = (task: WorkTask) => {
    started.set(task.id, now);
    order.push(task);
    if (task.hands > 0) now += task.minutes;
  };
  while (order.length < tasks.length) {
    const left = tasks.filter(({ id }) => !started.has(id)).map((task) => ({ task, ...window(task) }));
    const byItself = left.find(({ task, from }) => task.hands === 0 && from <= now);
    if (byItself) {
      // It began by itself when it could, not when somebody came to look.
      started.set(byItself.task.id, byItself.from);
      order.push(byItself.task);
      continue;
    }
    const bound = left.filter(({ from, until }) => from < Infinity && until < Infinity).sort((p, q) => p.until - q.until);
    const opensAnother = ({ id }: WorkTask) =>
      tasks.some(({ after }) => after.some(({ task, mostMinutes }) => task === id && mostMinutes !== undefined));
    const isFree = ({ task, from }: (typeof left)[number]) =>
      task.hands > 0 &&
      from <= now &&
      bound.every(({ task: other, until }) => other.id === task.id || (now + task.minutes <= until && !opensAnother(task)));
    const free = left.filter(isFree);
    const due = free.find(({ task }) => task.id === bound[0]?.task.id);
    const next =
      due ??
      (keepOrder
        ? free[0]
        : free.reduce<(typeof left)[number] | undefined>(
            (best, each) => (best && tails(best.task) >= tails(each.task) ? best : each),
            undefined,
          ));
    if (next) {
      begin(next.task);
      continue;
    }
    const soonest = Math.min(...left.map(({ from }) => (from > now ? from : Infinity)));
    const late = left.find(({ task, from }) => task.hands > 0 && from <= now);
    if (soonest === Infinity && late) {
      // More is open at once than one pair of hands can join in time: it is done all the same, and late.
      begin(late.task);
      continue;
    }
    // What follows itself in a circle never comes free; nothing that `workPlan` makes does.
    if (soonest === Infinity) break;
    now = soonest;
  }
  return { order, ends: Math.max(0, ...order.map(endOf)) };
}

/** Minutes from a task's beginning to the end of all that follows it. */
function tailsOf(tasks: readonly WorkTask[], known: ReadonlyMap<string, WorkTask>): (task: WorkTask) => number {
  const followers = new Map<string, { task: WorkTask; lag: number }[]>();
  for (const task of tasks) {
    for (const { task: before, leastMinutes } of task.after) {
      if (known.has(before)) followers.set(before, [...(followers.get(before) ?? []), { task, lag: leastMinutes }]);
    }
  }
  const found = new Map<string, number>();
  const tail = (task: WorkTask): number => {
    const before = found.get(task.id);
    if (before !== undefined) return before;
    const own = task.minutes + Math.max(0, ...(followers.get(task.id) ?? []).map((each) => each.lag + tail(each.task)));
    found.set(task.id, own);
    return own;
  };
  return tail;
}
