import type { FollowUp, GearState, Item, JobState, Order } from './jobState.ts';

/** The item at the end of the list, instead of what was there of the same. */
export const inPlaceOf = <T>(list: readonly T[], item: T, same: (p: T, q: T) => boolean): readonly T[] => [
  ...list.filter((each) => !same(each, item)),
  item,
];

export const sameCapture = (p: { step: string; capture: string }, q: { step: string; capture: string }) =>
  p.step === q.step && p.capture === q.capture;

export const once = (list: readonly string[], item: string) => (list.includes(item) ? list : [...list, item]);

export const withGear = (state: JobState, gear: string, change: Partial<GearState>): JobState => ({
  ...state,
  gears: { ...state.gears, [gear]: { ...(state.gears[gear] ?? { readings: {} }), ...change } },
});

export const withItem = (state: JobState, item: string, change: Partial<Item>): JobState => ({
  ...state,
  items: state.items.map((each) => (each.id === item ? { ...each, ...change } : each)),
});

export const withOwnOf = (state: JobState, change: Partial<JobState['own']>): JobState => ({ ...state, own: { ...state.own, ...change } });

export const withOrders = (state: JobState, gear: string, change: (orders: readonly Order[]) => readonly Order[]): JobState =>
  withGear(state, gear, { orders: change(state.gears[gear]?.orders ?? []) });

export const withOrder = (
  state: JobState,
  { gear, order }: { readonly gear: string; readonly order: string },
  change: Partial<Order>,
): JobState => withOrders(state, gear, (orders) => orders.map((each) => (each.id === order ? { ...each, ...change } : each)));

/** Something to be looked at again on a day, set by the entry of that id. */
export const lookAgain = (id: string, what: string, due: string): FollowUp => ({
  kind: 'followUpSet',
  action: 'look',
  what,
  due,
  id,
  done: null,
});
