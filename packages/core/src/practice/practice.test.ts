import { familyIds, findFamily, FAMILIES } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { createOperations } from '../operations.ts';
import { runs } from '../testing.ts';
import { lookChances } from '../trace/lookChances.ts';
import { packForFacts } from '../trace/overrides.ts';
import { gearsOfFault, minutesOfWork, usualRemedy } from '../trace/remedies.ts';
import type { Fault, Pack } from '../trace/pack.ts';
import type { Remedy } from '../work/remedy.ts';
import { machineNamed } from './practice.ts';

const { run } = createOperations({ find: findFamily, ids: familyIds });
const familyNamed = (id: string) => findFamily(id) as Pack;

/** What is really wrong, which the operations tell only with the score. */
const faultOf = (practice: string) => machineNamed(practice, familyNamed).fault;
const machinesOf = (family: string, grade: 1 | 2 | 3, count: number) =>
  Array.from({ length: count }, (_, seed) => run('practice.deal', { family, seed, grade }).practice);

/** Taking looks one by one, as people do. */
function take(practice: string, looks: readonly string[]) {
  return looks.map((look, i) => run('practice.look', { practice, taken: looks.slice(0, i), look }));
}

const dealt = fc.record({
  family: fc.constantFrom(...FAMILIES.map(({ id }) => id)),
  seed: fc.integer({ min: 0, max: 2 ** 32 - 1 }),
  grade: fc.constantFrom(1 as const, 2 as const, 3 as const),
});
const DRAWN = { seed: 20_261_126, numRuns: 25 } as const;

test('the same family, grade and seed are the same machine, and its name says nothing else', () => {
  fc.assert(
    fc.property(dealt, (asked) => {
      const one = run('practice.deal', asked);
      expect(run('practice.deal', asked)).toEqual(one);
      expect(one.practice).toBe(`${asked.family}.${asked.grade}.${asked.seed}`);
      const said = familyNamed(asked.family).complaints.find(({ id }) => id === one.facts.complaint);
      expect(said?.says).toContain(one.complaint);
    }),
    DRAWN,
  );
});

test('what a look shows does not hang on what was looked at before it', () => {
  fc.assert(
    fc.property(dealt, fc.nat(), (asked, turn) => {
      const { practice } = run('practice.deal', asked);
      const looks = familyNamed(asked.family).looks.map(({ id }) => id);
      const by = turn % looks.length;
      const turned = [...looks.slice(by), ...looks.slice(0, by)];
      const shown = (order: readonly string[]) => Object.fromEntries(take(practice, order).map(({ result }, i) => [order[i], result]));
      expect(shown(turned)).toEqual(shown(looks));
    }),
    DRAWN,
  );
});

test('who takes the looks that were advised is told the same minutes, the same bits as the tracing tells, and is right where the advice is', () => {
  fc.assert(
    fc.property(dealt, (asked) => {
      const { practice, facts } = run('practice.deal', asked);
      const first = familyNamed(asked.family).faults[0]?.id ?? '';
      const { engineLooks, engineVerdict, engineMinutes, fault } = run('practice.score', { practice, taken: [], verdict: first });
      const shown = take(practice, engineLooks);
      const mine = run('practice.score', { practice, taken: engineLooks, verdict: engineVerdict ?? first });
      expect(mine.minutes).toBeCloseTo(engineMinutes, 9);
      expect(mine.minutes).toBeCloseTo(
        shown.reduce((sum, { minutes }) => sum + minutes, 0),
        9,
      );
      expect(mine.right).toBe((engineVerdict ?? first) === fault);
      const observations = engineLooks.map((look, i) => ({ look, result: shown[i]?.result ?? '' }));
      const traced = run('trace.next', { family: asked.family, facts, observations });
      const because = traced.suspects.find((each) => each.fault === fault)?.because ?? [];
      const told = mine.looks.map(({ look, toldBits }) => [look, because.find((each) => each.look === look)?.bits ?? 0, toldBits]);
      told.forEach(([, by, bits]) => expect(bits).toBeCloseTo(Number(by), 6));
      // Of the first look, for which nothing has to be put together again.
      const untouched = run('trace.next', { family: asked.family, facts });
      if (engineLooks[0] !== undefined) expect(untouched.next?.expectedBits).toBeCloseTo(mine.looks[0]?.couldTellBits ?? NaN, 9);
    }),
    { ...DRAWN, numRuns: runs(8, 25) },
  );
});

test('a look taken again and again is misread as often as the family says', () => {
  const family = 'saw-oil-pump';
  const pack = familyNamed(family);
  // Of a fault that shows in one way only, for there what the family says of the fault is what this machine does.
  const oneWay = pack.faults.filter(({ modes }) => modes.length === 0).map(({ id }) => id);
  const practice = machinesOf(family, 2, 60).find((each) => oneWay.includes(faultOf(each))) ?? '';
  const { fault, facts } = machineNamed(practice, familyNamed);
  const most = 100;
  const chancesOf = (look: string) =>
    lookChances(packForFacts(pack, facts), look, { faults: [fault] }).map(({ result, likelihood }) => ({
      result,
      chance: likelihood[fault] ?? 0,
    }));
  // A look that may well show this or that: one that nearly always shows the same says nothing of chance.
  const [look = ''] = pack.looks.map(({ id }) => id).filter((id) => chancesOf(id).every(({ chance }) => chance < 0.8));
  const again = Array.from({ length: most }, () => look);
  const shown = take(practice, again).map(({ result }) => result);
  for (const { result, chance } of chancesOf(look)) {
    const times = shown.filter((each) => each === result).length;
    expect(Math.abs(times - most * chance)).toBeLessThanOrEqual(3 * Math.sqrt(most * chance * (1 - chance)) + 1);
  }
});

test('grade 1 deals the commoner half and misreads nothing; grade 3 deals a rare fault as often as a common one', () => {
  const family = 'worm-steering-box';
  const pack = familyNamed(family);
  const [rarest] = [...pack.faults].sort((p, q) => p.prior - q.prior);
  const counts = [1, 2, 3].map((grade) => {
    return machinesOf(family, grade as 1 | 2 | 3, 300).filter((each) => faultOf(each) === rarest?.id).length;
  });
  expect(counts[0]).toBe(0);
  // One of so many faults, each as likely: 300 over their number, within three standard deviations.
  const even = 300 / pack.faults.length;
  expect(Math.abs((counts[2] ?? 0) - even)).toBeLessThan(3 * Math.sqrt(even));
  expect(counts[1]).toBeLessThan(counts[2] ?? 0);

  const { practice } = run('practice.deal', { family, seed: 5, grade: 1 });
  for (const { id } of pack.looks) {
    const again = take(
      practice,
      Array.from({ length: 10 }, () => id),
    ).map(({ result }) => result);
    expect(new Set(again).size).toBe(1);
  }
});

describe('what it costs', () => {
  const family = 'dash-odometer-motor';
  const pack = familyNamed(family);
  const gone = (practice: string) => gearsOfFault(pack, pack.faults.find(({ id }) => id === faultOf(practice)) as Fault);
  const practice = machinesOf(family, 2, 60).find((each) => gone(each).length === 1) ?? '';
  const fault = faultOf(practice);
  const real = pack.faults.find(({ id }) => id === fault) as Fault;
  const usualMinutes = (of: Fault) => minutesOfWork(usualRemedy(pack, of) as Remedy);
  const wrong = pack.faults.find((each) => each.id !== fault && usualMinutes(each) > 0) as Fault;
  const prices = { rateMinorPerHour: 6000, partMinor: 2500 };
  const cost = (more: object) => run('practice.score', { practice, taken: [], verdict: fault, ...prices, ...more });

  test('the right verdict at once, with nothing bought, costs nothing', () => {
    expect(cost({})).toMatchObject({ right: true, costMinor: 0, minutes: 0 });
  });

  test('a minute costs a sixtieth of the hour, and a wrong verdict the minutes of what is then done in vain', () => {
    const [look] = pack.looks;
    const { minutes } = run('practice.look', { practice, taken: [], look: look?.id ?? '' });
    expect(cost({ taken: [look?.id] }).costMinor).toBe(Math.round(minutes * 100));
    expect(cost({ verdict: wrong.id })).toMatchObject({ right: false, costMinor: usualMinutes(wrong) * 100 });
  });

  test('every gear bought costs, but for the one that is really gone', () => {
    const [worn = ''] = gearsOfFault(pack, real);
    const [other] = pack.gears.filter(({ id }) => id !== worn);
    expect(cost({ bought: [worn] }).costMinor).toBe(0);
    expect(cost({ bought: [worn, worn] }).costMinor).toBe(2500);
    expect(cost({ bought: [other?.id, worn, other?.id] }).costMinor).toBe(5000);
  });
});
