import { FAMILIES } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { openingTo, shortestOpening, stepsThatFree, type PlanStep } from './opening.ts';

/** Random step graphs without circles: a step needs only steps before it. */
const graph = fc.integer({ min: 2, max: 9 }).chain((n) =>
  fc.tuple(
    ...Array.from({ length: n }, (_, i) => {
      const before = fc.subarray(
        Array.from({ length: i }, (__, k) => `s${k}`),
        { maxLength: Math.min(2, i) },
      );
      return fc.record({
        id: fc.constant(`s${i}`),
        minutes: fc.integer({ min: 0, max: 9 }),
        needs: before,
        ways:
          i < 2
            ? fc.constant([])
            : fc.array(
                fc.subarray(
                  Array.from({ length: i }, (__, k) => `s${k}`),
                  { minLength: 1, maxLength: Math.min(3, i) },
                ),
                { maxLength: 3 },
              ),
      });
    }),
  ),
);
const some = (list: readonly PlanStep[], most: number) =>
  fc.subarray([...list.map(({ id }) => id)], { maxLength: Math.min(most, list.length) });
const question = graph.chain((steps) =>
  fc.record({ steps: fc.constant(steps as PlanStep[]), wanted: some(steps, 3), done: some(steps, 2), blocked: some(steps, 2) }),
);

/** Every set of steps is tried: it must hold what is wanted, and each step what it needs and one of its ways. */
function bruteForce(
  steps: readonly PlanStep[],
  wanted: readonly string[],
  done: ReadonlySet<string>,
  blocked: ReadonlySet<string>,
): number | null {
  const free = steps.filter(({ id }) => !done.has(id) && !blocked.has(id));
  let best: number | null = null;
  for (let mask = 0; mask < 1 << free.length; mask++) {
    const chosen = new Set(free.filter((_, i) => mask & (1 << i)).map(({ id }) => id));
    const there = (id: string) => done.has(id) || chosen.has(id);
    const sound = free.every(
      ({ id, needs, ways = [] }) => !chosen.has(id) || (needs.every(there) && (ways.length === 0 || ways.some((way) => way.every(there)))),
    );
    if (!sound || !wanted.every(there)) continue;
    const minutes = free.filter(({ id }) => chosen.has(id)).reduce((sum, each) => sum + each.minutes, 0);
    if (best === null || minutes < best) best = minutes;
  }
  return best;
}

test('no set of steps is shorter: the same minutes as trying them all', () => {
  fc.assert(
    fc.property(question, ({ steps, wanted, done, blocked }) => {
      const [have, stuck] = [new Set(done), new Set(blocked.filter((id) => !done.includes(id)))];
      expect(shortestOpening(steps, wanted, { done: have, blocked: stuck })?.minutes ?? null).toBe(bruteForce(steps, wanted, have, stuck));
    }),
    { numRuns: 400 },
  );
});

test('the plan can be done in its order, from what is done already', () => {
  fc.assert(
    fc.property(question, ({ steps, wanted, done }) => {
      const plan = shortestOpening(steps, wanted, { done: new Set(done) });
      if (!plan) return;
      const there = new Set(done);
      for (const id of plan.steps) {
        const { needs = [], ways = [] } = steps.find((each) => each.id === id) ?? {};
        expect(needs.filter((each) => !there.has(each))).toEqual([]);
        if (ways.length > 0) expect(ways.some((way) => way.every((each) => there.has(each)))).toBe(true);
        there.add(id);
      }
      expect(wanted.filter((id) => !there.has(id))).toEqual([]);
    }),
  );
});

test('what is done already is never paid again', () => {
  fc.assert(
    fc.property(question, ({ steps, wanted, done }) => {
      const closed = shortestOpening(steps, wanted)?.minutes ?? Infinity;
      expect(shortestOpening(steps, wanted, { done: new Set(done) })?.minutes ?? Infinity).toBeLessThanOrEqual(closed);
    }),
  );
});

const LID: PlanStep[] = [
  { id: 'belt', minutes: 3, needs: [] },
  { id: 'top', minutes: 10, needs: [] },
  { id: 'side', minutes: 4, needs: ['belt'] },
  { id: 'gear', minutes: 1, needs: [], ways: [['top'], ['side']] },
];

test('of two ways the shorter is taken, the other where a screw will not come, none where both are barred', () => {
  expect(shortestOpening(LID, ['gear'])).toEqual({ steps: ['belt', 'side', 'gear'], minutes: 8 });
  expect(shortestOpening(LID, ['gear'], { done: new Set(['top']) })).toEqual({ steps: ['gear'], minutes: 1 });
  expect(shortestOpening(LID, ['gear'], { done: new Set(), blocked: new Set(['side']) })?.steps).toEqual(['top', 'gear']);
  expect(shortestOpening(LID, ['gear'], { done: new Set(), blocked: new Set(['side', 'top']) })).toBeNull();
});

describe.each(FAMILIES)('$id', (pack) => {
  test('every place that a step frees can be reached, and all of them together cost no more than one by one', () => {
    const places = [...new Set(pack.steps.flatMap(({ frees }) => frees))];
    const apart = places.map((place) => openingTo(pack, [place])?.minutes ?? Infinity);
    const together = openingTo(pack, places)?.minutes ?? Infinity;
    expect(together).toBeLessThanOrEqual(apart.reduce((sum, each) => sum + each, 0));
    expect(together).toBeLessThan(Infinity);
    for (const place of places) expect(stepsThatFree(pack, place).length).toBeGreaterThan(0);
  });
});
