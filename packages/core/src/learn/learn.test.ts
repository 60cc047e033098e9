import { familyIds, findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { seeded } from '../testing.ts';
import type { Pack } from '../trace/pack.ts';
import { dueInput, dueOn, intervalDue } from './due.ts';
import { lifeInput, partLife } from './life.ts';
import { movedPriors } from './priors.ts';

/** Lives of a known law, and where each was still running when the log was read. */
function sample(random: () => number, { shape, scale, count, seenFor }: { shape: number; scale: number; count: number; seenFor: number }) {
  return Array.from({ length: count }, () => {
    const life = scale * (-Math.log(1 - random())) ** (1 / shape);
    const seen = seenFor * random();
    return life <= seen ? { worked: life, failed: true } : { worked: Math.max(seen, 1e-3), failed: false };
  });
}

test('of four hundred logs of known lives, many still running, at least 93 of a hundred intervals hold the mean', () => {
  const random = seeded(11);
  const [shape, scale] = [2, 400];
  const mean = scale * 0.886_226_925_5;
  let inside = 0;
  for (let i = 0; i < 400; i++) {
    const { meanInterval } = partLife(lifeInput.parse({ lives: sample(random, { shape, scale, count: 40, seenFor: 900 }) }));
    if (meanInterval && meanInterval.low <= mean && mean <= meanInterval.high) inside++;
  }
  expect(inside).toBeGreaterThanOrEqual(372);
});

test.each([3, 4, 6])('of a thousand logs of %i failures 93 to 97 of a hundred intervals hold the mean: they are what they say', (count) => {
  const random = seeded(23);
  for (const shape of [1, 2.5]) {
    const mean = shape === 1 ? 1 : 0.887_263_817_5;
    let inside = 0;
    for (let i = 0; i < 1000; i++) {
      const lives = Array.from({ length: count }, () => ({ worked: (-Math.log(1 - random())) ** (1 / shape), failed: true }));
      const { meanInterval } = partLife({ lives });
      if (meanInterval && meanInterval.low <= mean && mean <= meanInterval.high) inside++;
    }
    expect([shape, inside >= 925 && inside <= 975, inside]).toEqual([shape, true, inside]);
  }
});

test('what comes due never comes before it was last done, and a day that no calendar has is refused', () => {
  const ask = (every: object, perYear?: number) =>
    dueOn(dueInput.parse({ last: { date: '2026-03-01' }, every, perYear, today: '2026-11-30' }));
  fc.assert(
    fc.property(fc.double({ min: 1e-3, max: 1e8, noNaN: true }), fc.double({ min: 1e-3, max: 1e8, noNaN: true }), (units, perYear) => {
      try {
        expect(ask({ units }, perYear).dueDate >= '2026-03-01').toBe(true);
      } catch (error) {
        expect(error).toMatchObject({ code: 'noAnswer', path: 'perYear' });
      }
    }),
  );
  expect(() => ask({ units: 1e6 }, 1)).toThrow('noAnswer at perYear');
  // Days bring it where use never would.
  expect(ask({ units: 1e6, days: 365 }, 1)).toMatchObject({ dueDate: '2027-03-01', by: 'date' });
  expect(
    intervalDue({ every: { units: 1e6 }, unit: 'hours', at: '2026-03-01T00:00:00Z' }, { hours: 1, km: null }, '2026-11-30'),
  ).toBeNull();
});

test('the same log in another order, or in another unit, learns the same', () => {
  const lives = sample(seeded(3), { shape: 1.4, scale: 80, count: 60, seenFor: 200 });
  const [one, turned] = [lives, [...lives].reverse()].map((list) => partLife(lifeInput.parse({ lives: list })));
  expect(turned?.mean).toBeCloseTo(one?.mean ?? NaN, 6);
  const inMinutes = partLife(lifeInput.parse({ lives: lives.map((each) => ({ ...each, worked: each.worked * 60 })) }));
  expect((inMinutes.mean ?? NaN) / 60).toBeCloseTo(one?.mean ?? NaN, 5);
  expect(inMinutes.shape).toBeCloseTo(one?.shape ?? NaN, 5);
});

test('a long log is worked out another way than a short one, and comes to the same', () => {
  const short = sample(seeded(17), { shape: 1.7, scale: 300, count: 150, seenFor: 700 });
  // Every life twice has the same likeliest law.
  const [one, twice] = [short, [...short, ...short]].map((lives) => partLife({ lives }));
  expect(twice?.shape).toBeCloseTo(one?.shape ?? NaN, 5);
  expect((twice?.scale ?? NaN) / (one?.scale ?? NaN)).toBeCloseTo(1, 6);
});

test('parts that still run make the life longer, never shorter', () => {
  const failed = [100, 180, 260, 300].map((worked) => ({ worked, failed: true }));
  const alone = partLife(lifeInput.parse({ lives: failed })).mean ?? NaN;
  const more =
    partLife(lifeInput.parse({ lives: [...failed, { worked: 280, failed: false }, { worked: 150, failed: false }] })).mean ?? NaN;
  expect(more).toBeGreaterThan(alone);
});

test.each(familyIds())('priors of %s sum to one before and after, and what was seen often becomes likelier', (id) => {
  const pack = findFamily(id) as Pack;
  const last = pack.faults.at(-1)?.id ?? '';
  const { faults, moved } = movedPriors(pack, { verdicts: [{ fault: last, count: 5 }], equivalent: 20 });
  expect(moved).toBe(true);
  expect(faults.reduce((sum, each) => sum + each.pack, 0)).toBeCloseTo(1, 9);
  expect(faults.reduce((sum, each) => sum + each.shop, 0)).toBeCloseTo(1, 9);
  const seen = faults.find(({ fault }) => fault === last);
  expect(seen?.shop).toBeCloseTo((20 * (seen?.pack ?? 0) + 5) / 25, 12);
});

test('two jobs move nothing, three do', () => {
  const pack = findFamily('trimmer-bevel-head') as Pack;
  const of = (count: number) => movedPriors(pack, { verdicts: [{ fault: pack.faults[0]?.id ?? '', count }], equivalent: 20 });
  expect(of(2).faults.every((each) => each.pack === each.shop)).toBe(true);
  expect(of(3).faults.some((each) => each.pack !== each.shop)).toBe(true);
});
