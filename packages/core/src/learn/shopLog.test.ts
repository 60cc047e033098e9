import { findFamily } from '@patient-badger/knowledge';
import { seeded } from '../quantity/seeded.ts';
import type { Pack } from '../trace/pack.ts';
import { withOwnPriors } from './priors.ts';
import { learnFrom, type LoggedJob, type MeterValue } from './shopLog.ts';

const day = (n: number) => new Date(Date.UTC(2024, 0, 1) + n * 86_400_000).toISOString();
const NOW = day(1000);

const job = (id: string, machineId: string, began: number, more: Partial<LoggedJob> = {}): LoggedJob => ({
  id,
  machineId,
  family: 'saw-oil-pump',
  takenInAt: day(began),
  closedAt: day(began + 1),
  fault: 'worm-stripped',
  faults: ['worm-stripped'],
  proved: true,
  failed: ['worm'],
  fitted: [{ gear: 'worm', partNumber: 'QB-1' }],
  refused: [],
  hands: ['tobin'],
  minutesReckoned: 40,
  minutesTaken: null,
  totalMinor: 5000,
  ...more,
});
const read = (machineId: string, on: number, hours: number): MeterValue => ({ machineId, on: day(on).slice(0, 10), hours, km: null });
const learn = (jobs: readonly LoggedJob[], meters: readonly MeterValue[] = []) => learnFrom({ jobs, meters, now: NOW });

test('a part lives from where it was fitted to where its gear was found failed, by the hours in between; the last one still runs', () => {
  const { lives } = learn([job('1', 'm', 0), job('2', 'm', 300)], [read('m', 0, 100), read('m', 300, 180), read('m', 900, 220)]);
  const all = lives.find(({ partNumber }) => partNumber === null);
  expect(all).toMatchObject({ family: 'saw-oil-pump', gear: 'worm', unit: 'hours', life: { failures: 1, running: 1, enough: false } });
});

test('where three failed there is a life, and its mean lies between them', () => {
  const machines = ['a', 'b', 'c'];
  const jobs = machines.flatMap((m) => [job(`${m}1`, m, 0), job(`${m}2`, m, 400, { fitted: [] })]);
  const meters = machines.flatMap((m, i) => [read(m, 0, 50), read(m, 400, 130 + 20 * i)]);
  const life = learn(jobs, meters).lives.find(({ partNumber }) => partNumber === 'QB-1')?.life;
  expect(life?.enough).toBe(true);
  expect(life?.mean).toBeGreaterThan(80);
  expect(life?.mean).toBeLessThan(120);
  expect((life?.meanInterval?.low ?? 0) < (life?.mean ?? 0)).toBe(true);
});

test('a part replaced for another reason is censored, one whose meter stood still tells nothing, and without a meter it goes by the calendar', () => {
  const otherReason = learn(
    [job('1', 'm', 0), job('2', 'm', 100, { failed: [], fault: 'chips-packed' })],
    [read('m', 0, 1), read('m', 90, 41)],
  );
  expect(otherReason.lives[0]).toMatchObject({ unit: 'hours', life: { failures: 0, running: 1 } });
  const still = learn([job('1', 'm', 0), job('2', 'm', 100)], [read('m', 0, 5), read('m', 90, 4), read('m', 95, 5)]);
  expect(still.lives.flatMap(({ life }) => life.failures)).toEqual([]);
  expect(learn([job('1', 'm', 0), job('2', 'm', 366)]).lives[0]).toMatchObject({ unit: 'years', life: { failures: 1, running: 1 } });
});

test('only proved verdicts on a fault of the list count', () => {
  const { verdicts } = learn([
    job('1', 'a', 0),
    job('2', 'b', 0, { proved: false }),
    job('3', 'c', 0, { fault: null }),
    job('4', 'd', 0, { fault: 'chips-packed' }),
  ]);
  expect(verdicts).toEqual([
    {
      family: 'saw-oil-pump',
      jobs: 2,
      faults: [
        { fault: 'chips-packed', count: 1 },
        { fault: 'worm-stripped', count: 1 },
      ],
    },
  ]);
});

test('what comes back: the machine with its fault, the part in several machines, the part refused again, and the hand', () => {
  const refused = [{ partNumber: 'QB-9', deciding: 'teeth', priceMinor: 700 }];
  const { comesBack, pays } = learn([
    job('1', 'a', 0, { minutesTaken: 60 }),
    job('2', 'a', 100, { refused, hands: ['imke'] }),
    job('3', 'b', 0),
    job('4', 'b', 400, { refused, totalMinor: 900 }),
  ]);
  expect(comesBack).toEqual([
    { kind: 'machine', of: 'a', family: 'saw-oil-pump', what: 'worm-stripped', times: 2, among: 2, costMinor: 5000 },
    { kind: 'machine', of: 'b', family: 'saw-oil-pump', what: 'worm-stripped', times: 2, among: 2, costMinor: 900 },
    { kind: 'part', of: 'QB-1', family: 'saw-oil-pump', what: 'worm', times: 2, among: 4, costMinor: 5900 },
    { kind: 'refused', of: 'QB-9', family: 'saw-oil-pump', what: 'teeth', times: 2, among: null, costMinor: 1400 },
    // Four hundred days later is no come-back of the work.
    { kind: 'hand', of: 'tobin', family: null, what: null, times: 1, among: 3, costMinor: 5000 },
  ]);
  expect(pays).toEqual({ timedJobs: 1, minutesReckoned: 40, minutesTaken: 60, partsFitted: 4, partsInVain: 2, inVainMinor: 1400 });
});

test('the same log in another order learns the same', () => {
  const random = seeded(5);
  const jobs = Array.from({ length: 300 }, (_, i) =>
    job(`j${i}`, `m${Math.floor(random() * 40)}`, Math.floor(random() * 900), { hands: random() < 0.5 ? ['tobin'] : ['imke'] }),
  );
  const meters = Array.from({ length: 200 }, () =>
    read(`m${Math.floor(random() * 40)}`, Math.floor(random() * 900), Math.floor(random() * 500)),
  );
  const turned = (list: readonly unknown[]) => [...list].sort(() => random() - 0.5) as never[];
  expect(learn(turned(jobs), turned(meters))).toEqual(learn(jobs, meters));
});

test('a family with its own priors keeps everything else, and is the same object where nothing moves', () => {
  const pack = findFamily('saw-oil-pump') as Pack;
  expect(withOwnPriors(pack, [{ fault: 'worm-stripped', count: 2 }])).toBe(pack);
  const moved = withOwnPriors(pack, [
    { fault: 'worm-stripped', count: 10 },
    { fault: 'gone-from-the-family', count: 99 },
  ]);
  const of = (which: Pack) => which.faults.find(({ id }) => id === 'worm-stripped')?.prior ?? 0;
  const whole = (which: Pack) => which.faults.reduce((sum, { prior }) => sum + prior, 0);
  expect(of(moved)).toBeCloseTo((((20 * of(pack)) / whole(pack) + 10) / 30) * whole(pack), 9);
  expect(whole(moved)).toBeCloseTo(whole(pack), 9);
  expect(moved.looks).toBe(pack.looks);
});
