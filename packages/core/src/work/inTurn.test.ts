import { seeded } from '../testing.ts';
import { inTurn } from './inTurn.ts';
import type { WorkTask } from './schema.ts';

const made = (id: string, minutes: number, more: Partial<WorkTask> = {}): WorkTask => ({
  id,
  kind: 'do',
  ref: id,
  name: id,
  minutes,
  atWorst: minutes,
  hands: 1,
  after: [],
  tools: [],
  cautions: [],
  captures: [],
  parts: [],
  loose: [],
  ...more,
});
const after = (task: string, leastMinutes = 0, mostMinutes?: number) => ({
  task,
  from: 'end' as const,
  leastMinutes,
  ...(mostMinutes !== undefined && { mostMinutes }),
});

/** When a whole order ends, done as it stands by one pair of hands; Infinity where it is against what the tasks say. */
function endsIn(order: readonly WorkTask[]): number {
  const ends = new Map<string, number>();
  let clock = 0;
  for (const { id, minutes, hands, after: before } of order) {
    if (before.some(({ task }) => !ends.has(task))) return Infinity;
    const from = Math.max(hands > 0 ? clock : 0, ...before.map(({ task, leastMinutes }) => (ends.get(task) ?? 0) + leastMinutes));
    if (before.some(({ task, mostMinutes }) => mostMinutes !== undefined && from > (ends.get(task) ?? 0) + mostMinutes + 1e-9))
      return Infinity;
    ends.set(id, from + minutes);
    if (hands > 0) clock = from + minutes;
  }
  return Math.max(0, ...ends.values());
}

function everyOrder(tasks: readonly WorkTask[]): number {
  let best = Infinity;
  const go = (order: WorkTask[], left: readonly WorkTask[]): void => {
    if (left.length === 0) {
      best = Math.min(best, endsIn(order));
      return;
    }
    for (const task of left)
      if (task.after.every(({ task: id }) => order.some((each) => each.id === id)))
        go(
          [...order, task],
          left.filter((each) => each !== task),
        );
  };
  go([], tasks);
  return best;
}

test('hands go on while something cures, and the cure is waited out', () => {
  const tasks = [
    made('bond', 4),
    made('cure', 60, { hands: 0, after: [after('bond')] }),
    made('fit', 5, { after: [after('cure')] }),
    made('wash', 20),
  ];
  const { order, ends } = inTurn(tasks, { keepOrder: false });
  expect(order.map(({ id }) => id)).toEqual(['bond', 'cure', 'wash', 'fit']);
  expect(ends).toBe(69);
});

test('what has to be joined while it is wet goes before a longer piece that would let it skin', () => {
  const tasks = [made('bead', 4), made('join', 4, { after: [after('bead', 10, 20)] }), made('long', 30), made('short', 6)];
  const { order } = inTurn(tasks, { keepOrder: true });
  expect(order.map(({ id }) => id)).toEqual(['bead', 'short', 'join', 'long']);
});

test('two things that skin are never open at once', () => {
  const open = (name: string) => [made(`${name}-bead`, 2), made(`${name}-join`, 15, { after: [after(`${name}-bead`, 0, 10)] })];
  const { order } = inTurn([...open('one'), ...open('other')], { keepOrder: false });
  expect(endsIn(order)).toBeLessThan(Infinity);
});

test('held against every order of up to eight tasks: always a lawful one, and seldom longer than the shortest', () => {
  const random = seeded(29);
  let [longer, worst] = [0, 1];
  const WORKS = 300;
  for (let i = 0; i < WORKS; i++) {
    const count = 3 + Math.floor(random() * 5);
    const kept = new Set<number>();
    const tasks = Array.from({ length: count }, (_, j): WorkTask => {
      const before = Array.from({ length: j }, (__, k) => k).filter(() => random() < 0.25);
      const isWait = random() < 0.25 && before.length > 0;
      // One at the most follows within a most, as a piece of a remedy has but one before it and one behind.
      const last = before.at(-1);
      const most = !isWait && last !== undefined && !kept.has(last) && random() < 0.25 ? last : undefined;
      if (most !== undefined) kept.add(most);
      return made(`t${j}`, 1 + Math.floor(random() * 20), {
        ...(isWait && { hands: 0 }),
        after: (most === undefined ? before : [most]).map((k) => after(`t${k}`, 0, k === most ? 15 : undefined)),
      });
    });
    // Of a wait's own end nothing is kept open here: a remedy's most counts from its piece.
    const clean = tasks.map((task) => ({
      ...task,
      after: task.after.map((each) => (tasks.find(({ id }) => id === each.task)?.hands === 0 ? after(each.task) : each)),
    }));
    const { order, ends } = inTurn(clean, { keepOrder: false });
    const shortest = everyOrder(clean);
    if (shortest === Infinity) continue;
    expect(order).toHaveLength(count);
    expect(endsIn(order)).toBeLessThan(Infinity);
    expect(ends).toBeGreaterThanOrEqual(shortest - 1e-9);
    if (ends > shortest + 1e-9) longer++;
    worst = Math.max(worst, ends / shortest);
  }
  expect(longer / WORKS).toBeLessThan(0.1);
  expect(worst).toBeLessThan(1.5);
});
