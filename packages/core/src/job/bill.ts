import { minutesOfWork } from '../trace/remedies.ts';
import type { Pack } from '../trace/pack.ts';
import type { Item, JobState, Order } from './jobState.ts';
import { toSetRight } from './toSetRight.ts';
import { remediesOfFaults } from './workOfJob.ts';

/** One line of what a job used. Money in minor units; null where nobody said a price. */
export interface BillLine {
  readonly id: string;
  readonly name: string;
  readonly partNumber?: string | undefined;
  readonly count: number;
  readonly eachMinor: number | null;
  readonly state: Item['state'];
}

/** What a job used and what it comes to. */
export interface Bill {
  readonly lines: readonly BillLine[];
  readonly partsMinor: number;
  /** Lines without a price: the sum is short by them. */
  readonly unpriced: number;
  readonly minutes: number;
  /** Whether somebody said the minutes; otherwise they are those of the family for what was done. */
  readonly minutesNoted: boolean;
  readonly labourMinor: number;
  readonly totalMinor: number;
}

/**
 * Parts and minutes of a job: gears ordered or fitted, items of its own, and the work at so much an hour. What was refused
 * went back and costs nothing; what is only needed is no line yet. A donor off the shelf costs what was written for it.
 */
export function jobBill(state: JobState, pack: Pack, rateMinorPerHour: number): Bill {
  const lines = [...Object.values(state.gears).flatMap(gearLines), ...state.items.filter(counts).map(itemLine)];
  const partsMinor = lines.reduce((sum, { count, eachMinor }) => sum + count * (eachMinor ?? 0), 0);
  const minutesNoted = state.labour.length > 0;
  const minutes = minutesNoted ? total(state.labour) : minutesReckoned(state, pack);
  const labourMinor = Math.round((minutes / 60) * rateMinorPerHour);
  return {
    lines,
    partsMinor,
    unpriced: lines.filter(({ eachMinor }) => eachMinor === null).length,
    minutes,
    minutesNoted,
    labourMinor,
    totalMinor: partsMinor + labourMinor,
  };
}

const counts = ({ state }: Item) => state !== 'needed' && state !== 'refused';

const itemLine = ({ id, name, partNumber, count, priceMinor, state }: Item): BillLine => ({
  id,
  name,
  partNumber,
  count,
  state,
  eachMinor: priceMinor ?? null,
});

function gearLines({ orders = [], chosen, fitted }: JobState['gears'][string]): readonly BillLine[] {
  const kept = orders.filter((each) => each.state !== 'refused');
  const isFitted = (order: Order) => fitted?.partId === order.partId;
  const ordered = kept.map((order): BillLine => ({
    id: order.id,
    name: order.name,
    partNumber: order.partNumber,
    count: 1,
    eachMinor: order.priceMinor ?? null,
    state: isFitted(order) ? 'fitted' : order.state,
  }));
  if (!fitted || kept.some(isFitted)) return ordered;
  const same = chosen?.partId === fitted.partId ? chosen : undefined;
  const donor = fitted.source === 'shelf';
  return [
    ...ordered,
    {
      id: fitted.partId,
      name: same?.name ?? fitted.partNumber,
      partNumber: fitted.partNumber,
      count: 1,
      state: 'fitted',
      eachMinor: same?.priceMinor ?? (donor ? 0 : null),
    },
  ];
}

const total = (list: readonly { readonly minutes: number }[]) => list.reduce((sum, { minutes }) => sum + minutes, 0);

/** What the family reckons for everything that was done: looks, steps, the way back, what sets the fault right. */
export function minutesReckoned(state: JobState, pack: Pack): number {
  const { observations, handled, decided, closed } = state;
  const named = <T extends { readonly id: string; readonly minutes: number }>(list: readonly T[], id: string) =>
    list.find((each) => each.id === id)?.minutes ?? 0;
  const looks = observations.reduce((sum, { look }) => sum + named(pack.looks, look), 0);
  const work = handled.reduce(
    (sum, each) => sum + ('done' in each ? named(pack.steps, each.done) : named([...pack.closing, ...pack.steps], each.back)),
    0,
  );
  const remedies = decided && closed ? remediesOfFaults(pack, toSetRight(pack, state), state) : [];
  return looks + work + total(remedies.map((remedy) => ({ minutes: minutesOfWork(remedy) })));
}
