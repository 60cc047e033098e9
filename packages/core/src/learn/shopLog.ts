import type { UseUnit } from '../quantity/useUnit.ts';
import { partLife, type Life } from './life.ts';
import type { FaultCount } from './priors.ts';

/** What a finished job leaves for the shop to learn from. */
export interface JobSummary {
  /** The fault of the list that was decided on; null where it was none of them. */
  readonly fault: string | null;
  /** Every fault that was set right. */
  readonly faults: readonly string[];
  readonly proved: boolean;
  /** Gears whose fault asked for another. */
  readonly failed: readonly string[];
  readonly fitted: readonly { readonly gear: string; readonly partNumber: string }[];
  /** Bought in vain: sent back, each with the dimension that decided. */
  readonly refused: readonly { readonly partNumber: string; readonly deciding: string; readonly priceMinor: number | null }[];
  /** Who worked on it, as far as it was written down. */
  readonly hands: readonly string[];
  /** What the family reckons for what was done, and what somebody said it took. */
  readonly minutesReckoned: number;
  readonly minutesTaken: number | null;
  readonly totalMinor: number;
}

export interface LoggedJob extends JobSummary {
  readonly id: string;
  readonly machineId: string;
  readonly family: string;
  /** ISO 8601. */
  readonly takenInAt: string;
  readonly closedAt: string;
}

export interface MeterValue {
  readonly machineId: string;
  readonly on: string;
  readonly hours: number | null;
  readonly km: number | null;
}

export interface ShopLog {
  readonly jobs: readonly LoggedJob[];
  readonly meters: readonly MeterValue[];
  /** ISO 8601: until when parts that still run have worked. */
  readonly now: string;
}

/** How long one kind of part lives in this shop's machines; of every number where none is named. */
export interface PartLife {
  readonly family: string;
  readonly gear: string;
  readonly partNumber: string | null;
  readonly unit: UseUnit;
  readonly life: Life;
}

/** The same again: a fault on one machine, a part number in several, a person's jobs that came back. */
export interface Comeback {
  readonly kind: 'machine' | 'part' | 'refused' | 'hand';
  /** The machine, the part number, or the person. */
  readonly of: string;
  readonly family: string | null;
  /** The fault, the gear, or the dimension that decided. */
  readonly what: string | null;
  readonly times: number;
  /** Of how many, where that is known. */
  readonly among: number | null;
  readonly costMinor: number;
}

export interface Payoff {
  /** Jobs whose minutes somebody said. */
  readonly timedJobs: number;
  readonly minutesReckoned: number;
  readonly minutesTaken: number;
  readonly partsFitted: number;
  readonly partsInVain: number;
  readonly inVainMinor: number;
}

export interface FamilyVerdicts {
  readonly family: string;
  readonly jobs: number;
  readonly faults: readonly FaultCount[];
}

export interface ShopStatistics {
  readonly jobs: number;
  readonly lives: readonly PartLife[];
  readonly verdicts: readonly FamilyVerdicts[];
  readonly comesBack: readonly Comeback[];
  readonly pays: Payoff;
}

const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;
/** A machine that is back within so long with the same trouble came back. */
const BACK_WITHIN_MS = 180 * DAY_MS;
/** So many of the worst are named. */
const MOST_NAMED = 50;

/**
 * What a shop's log teaches, in whatever order it is read: lives of parts by family, gear and part number, verdicts by family, what keeps
 * coming back and what it cost, and whether minutes and parts were well spent.
 *
 * A life begins where a part was fitted and ends where a later job of the machine found its gear failed; a part that was replaced for
 * another reason, or still runs, is censored at what it has worked: by the machine's hours or kilometres where its meter was read, else by
 * the calendar. What a machine came with has no life here: nobody knows what was done to it before.
 */
export function learnFrom({ jobs, meters, now }: ShopLog): ShopStatistics {
  const inOrder = [...jobs].sort((p, q) => compare(p.closedAt, q.closedAt) || compare(p.id, q.id));
  const byMachine = grouped(inOrder, ({ machineId }) => machineId);
  const readings = grouped(
    [...meters].sort((p, q) => compare(p.on, q.on) || (p.hours ?? 0) - (q.hours ?? 0) || (p.km ?? 0) - (q.km ?? 0)),
    ({ machineId }) => machineId,
  );
  const lives = [...byMachine].flatMap(([machineId, list]) => livesOf(list, meterOf(readings.get(machineId) ?? []), now));
  return {
    jobs: inOrder.length,
    lives: partLives(lives),
    verdicts: verdictsOf(inOrder),
    comesBack: [...sameMachine(byMachine), ...samePart(lives), ...refusedAgain(inOrder), ...sameHand(byMachine)],
    pays: paysOf(inOrder),
  };
}

interface OneLife {
  readonly family: string;
  readonly gear: string;
  readonly partNumber: string;
  readonly unit: UseUnit;
  readonly worked: number;
  readonly failed: boolean;
  /** What the job that ended it cost. */
  readonly costMinor: number;
}

type Meter = { readonly unit: UseUnit; readonly at: (when: string) => number };

/** What a machine's work is counted by: the meter that was read at least twice, else the calendar. */
function meterOf(readings: readonly MeterValue[]): Meter {
  for (const unit of ['hours', 'km'] as const) {
    const read = readings.flatMap(({ on, [unit]: value }) => (value === null ? [] : [{ on, value }]));
    if (new Set(read.map(({ value }) => value)).size < 2) continue;
    return { unit, at: (when) => read.findLast(({ on }) => on <= when.slice(0, 10))?.value ?? read[0]?.value ?? 0 };
  }
  return { unit: 'years', at: (when) => Date.parse(when) / YEAR_MS };
}

function livesOf(jobs: readonly LoggedJob[], { unit, at }: Meter, now: string): readonly OneLife[] {
  return jobs.flatMap((job, i) =>
    job.fitted.flatMap(({ gear, partNumber }): OneLife[] => {
      const later = jobs.slice(i + 1);
      const end = later.find((each) => each.failed.includes(gear) || each.fitted.some((part) => part.gear === gear));
      const worked = at(end?.takenInAt ?? now) - at(job.closedAt);
      // A meter that did not move between two readings, or went backwards, tells no life.
      if (!(worked > 0)) return [];
      const failed = end?.failed.includes(gear) ?? false;
      return [{ family: job.family, gear, partNumber, unit, worked, failed, costMinor: failed ? (end?.totalMinor ?? 0) : 0 }];
    }),
  );
}

function partLives(lives: readonly OneLife[]): readonly PartLife[] {
  const of = (list: readonly OneLife[], partNumber: (life: OneLife) => string | null) =>
    [...grouped(list, (each) => JSON.stringify([each.family, each.gear, each.unit, partNumber(each)]))].map(([key, group]): PartLife => {
      const [family, gear, unit, number] = JSON.parse(key) as [string, string, UseUnit, string | null];
      // In order of length: sums of the same numbers in another order are not quite the same.
      const inOrder = group
        .map(({ worked, failed }) => ({ worked, failed }))
        .sort((p, q) => p.worked - q.worked || Number(p.failed) - Number(q.failed));
      return { family, gear, partNumber: number, unit, life: partLife({ lives: inOrder }) };
    });
  return [...of(lives, () => null), ...of(lives, ({ partNumber }) => partNumber)].sort(
    (p, q) =>
      q.life.failures - p.life.failures ||
      q.life.running - p.life.running ||
      compare([p.family, p.gear, p.unit, p.partNumber].join(), [q.family, q.gear, q.unit, q.partNumber].join()),
  );
}

/** Verdicts of proved jobs, by family. */
function verdictsOf(jobs: readonly LoggedJob[]): readonly FamilyVerdicts[] {
  const proved = jobs.filter(({ proved: held, fault }) => held && fault !== null);
  return [...grouped(proved, ({ family }) => family)]
    .map(([family, list]) => ({
      family,
      jobs: list.length,
      faults: [...grouped(list, ({ fault }) => fault ?? '')]
        .map(([fault, of]) => ({ fault, count: of.length }))
        .sort((p, q) => q.count - p.count || compare(p.fault, q.fault)),
    }))
    .sort((p, q) => q.jobs - p.jobs || compare(p.family, q.family));
}

function sameMachine(byMachine: ReadonlyMap<string, readonly LoggedJob[]>): readonly Comeback[] {
  const found = [...byMachine].flatMap(([machineId, jobs]) =>
    [
      ...grouped(
        jobs.filter(({ fault }) => fault !== null),
        ({ fault }) => fault ?? '',
      ),
    ].flatMap(([fault, list]): Comeback[] =>
      list.length < 2
        ? []
        : [
            {
              kind: 'machine',
              of: machineId,
              family: list[0]?.family ?? null,
              what: fault,
              times: list.length,
              among: jobs.length,
              costMinor: costOf(list.slice(1)),
            },
          ],
    ),
  );
  return worst(found);
}

function samePart(lives: readonly OneLife[]): readonly Comeback[] {
  const found = [...grouped(lives, ({ partNumber, family }) => JSON.stringify([partNumber, family]))].flatMap(([, list]): Comeback[] => {
    const failed = list.filter((each) => each.failed);
    const [first] = failed;
    if (!first || failed.length < 2) return [];
    const costMinor = failed.reduce((sum, each) => sum + each.costMinor, 0);
    return [
      { kind: 'part', of: first.partNumber, family: first.family, what: first.gear, times: failed.length, among: list.length, costMinor },
    ];
  });
  return worst(found);
}

function refusedAgain(jobs: readonly LoggedJob[]): readonly Comeback[] {
  const refused = jobs.flatMap(({ family, refused: list }) => list.map((each) => ({ ...each, family })));
  const found = [...grouped(refused, ({ partNumber }) => partNumber)].flatMap(([partNumber, list]): Comeback[] =>
    list.length < 2
      ? []
      : [
          {
            kind: 'refused',
            of: partNumber,
            family: list[0]?.family ?? null,
            what: list.at(-1)?.deciding ?? null,
            times: list.length,
            among: null,
            costMinor: list.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0),
          },
        ],
  );
  return worst(found);
}

/** Whose work came back soon, with the same fault or the same gear: shown of everybody who worked on it, next to all their jobs. */
function sameHand(byMachine: ReadonlyMap<string, readonly LoggedJob[]>): readonly Comeback[] {
  const all = [...byMachine.values()].flatMap((jobs) =>
    jobs.flatMap((job, i) => {
      const back = jobs
        .slice(i + 1)
        .find((next) => Date.parse(next.takenInAt) - Date.parse(job.closedAt) <= BACK_WITHIN_MS && isSame(job, next));
      return job.hands.map((hand) => ({ hand, back }));
    }),
  );
  const found = [...grouped(all, ({ hand }) => hand)].flatMap(([hand, list]): Comeback[] => {
    const back = list.flatMap((each) => each.back ?? []);
    return back.length === 0
      ? []
      : [{ kind: 'hand', of: hand, family: null, what: null, times: back.length, among: list.length, costMinor: costOf(back) }];
  });
  return worst(found);
}

const isSame = (job: LoggedJob, next: LoggedJob): boolean =>
  (job.fault !== null && job.fault === next.fault) || job.fitted.some(({ gear }) => next.failed.includes(gear));

function paysOf(jobs: readonly LoggedJob[]): Payoff {
  const timed = jobs.filter(({ minutesTaken }) => minutesTaken !== null);
  const refused = jobs.flatMap((job) => job.refused);
  return {
    timedJobs: timed.length,
    minutesReckoned: timed.reduce((sum, each) => sum + each.minutesReckoned, 0),
    minutesTaken: timed.reduce((sum, each) => sum + (each.minutesTaken ?? 0), 0),
    partsFitted: jobs.reduce((sum, { fitted }) => sum + fitted.length, 0),
    partsInVain: refused.length,
    inVainMinor: refused.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0),
  };
}

const costOf = (jobs: readonly LoggedJob[]): number => jobs.reduce((sum, { totalMinor }) => sum + totalMinor, 0);

const worst = (found: readonly Comeback[]): readonly Comeback[] =>
  [...found]
    .sort((p, q) => q.times - p.times || q.costMinor - p.costMinor || compare(`${p.of} ${p.what}`, `${q.of} ${q.what}`))
    .slice(0, MOST_NAMED);

const compare = (p: string, q: string): number => Number(p > q) - Number(p < q);

function grouped<T>(list: readonly T[], key: (each: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const of = key(item);
    const group = groups.get(of);
    if (group) group.push(item);
    else groups.set(of, [item]);
  }
  return groups;
}
