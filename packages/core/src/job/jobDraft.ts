import { emptyJob, type FollowUp, type GearState, type Item, type JobState, type Order } from './jobState.ts';

type Writable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer Each)[] ? Each[] : T[K] };
type ReadingLists<T> = { -readonly [K in keyof T]: NonNullable<T[K]> extends readonly (infer Each)[] ? Each[] : never };

/** A gear while its job is being folded: `beside` is always there, and is left out where nothing lies beside it. */
export interface GearDraft extends Omit<Writable<GearState>, 'readings' | 'beside' | 'scans' | 'orders'> {
  readonly readings: ReadingLists<GearState['readings']>;
  readonly beside: { -readonly [K in keyof NonNullable<GearState['beside']>]: ReadingLists<GearState['readings']> };
  readonly scans: Map<string, NonNullable<GearState['scans']>[number]>;
  readonly orders: Map<string, Order>;
}

interface ItemDraft extends Omit<Item, 'readings'> {
  readonly readings: ReadingLists<Item['readings']>;
}

/** Lists of which each thing has one place, by a name of its own: while a job is folded they are looked up, not gone through. */
type ByName = 'stuck' | 'captures' | 'confirmed' | 'torques' | 'options' | 'plates' | 'proofs' | 'intervals' | 'followUps' | 'prices';
type Once = 'reached' | 'acknowledged' | 'found' | 'extras' | 'droppedOptions' | 'closingDone';
type Each<K extends keyof JobState> = JobState[K] extends readonly (infer T)[] ? T : never;

/**
 * A job while it is being folded. Only the fold holds it, and gives it away when it is done: written into in place, so
 * that a job of twenty thousand entries costs twenty thousand small steps and not as many copies of all that came before.
 */
export type JobDraft = Omit<Writable<JobState>, 'gears' | 'items' | 'own' | 'photoMarks' | ByName | Once> & {
  readonly gears: Map<string, GearDraft>;
  readonly items: Map<string, ItemDraft>;
  readonly own: { readonly [K in keyof JobState['own']]: JobState['own'][K][number][] };
  readonly photoMarks: { [hash: string]: JobState['photoMarks'][string] };
} & { readonly [K in ByName]: Map<string, Each<K>> } & { readonly [K in Once]: Set<string> };

const byName = () => ({
  stuck: new Map(),
  captures: new Map(),
  confirmed: new Map(),
  torques: new Map(),
  options: new Map(),
  plates: new Map(),
  proofs: new Map(),
  intervals: new Map(),
  followUps: new Map(),
  prices: new Map(),
  items: new Map(),
  gears: new Map(),
});
const once = () => ({
  reached: new Set(),
  acknowledged: new Set(),
  found: new Set(),
  extras: new Set(),
  droppedOptions: new Set(),
  closingDone: new Set(),
});

/** A job of which nothing is known yet, to be written into. */
export const newDraft = (lists: Pick<JobState, 'jobId' | 'written' | 'active' | 'withdrawn'>): JobDraft =>
  ({ ...emptyJob(), ...lists, ...byName(), ...once() }) as unknown as JobDraft;

/** The job that a draft has become. */
export function finished({ gears, ...draft }: JobDraft): JobState {
  const lists = Object.entries(draft).map(([key, value]) => [
    key,
    value instanceof Map || value instanceof Set ? [...(value as Set<unknown>).values()] : value,
  ]);
  const made = [...gears].map(([id, gear]) => [id, finishedGear(gear)] as const);
  return { ...(Object.fromEntries(lists) as JobState), gears: Object.fromEntries(made) };
}

const finishedGear = ({ beside, scans, orders, ...gear }: GearDraft): GearState => ({
  ...gear,
  ...(Object.keys(beside).length > 0 && { beside }),
  ...(scans.size > 0 && { scans: [...scans.values()] }),
  ...(orders.size > 0 && { orders: [...orders.values()] }),
});

export function gearOf(draft: JobDraft, gear: string): GearDraft {
  const known = draft.gears.get(gear) ?? { readings: {}, beside: {}, scans: new Map(), orders: new Map() };
  draft.gears.set(gear, known);
  return known;
}

/** Puts something at the end of a list, instead of what was there under its name. */
export function putInPlace<T>(list: Map<string, T>, name: string, item: T): void {
  list.delete(name);
  list.set(name, item);
}

/** Changes what stands under a name where it stands; nothing where nothing does. */
export function changeIn<T>(list: Map<string, T>, name: string, change: Partial<T>): void {
  const before = list.get(name);
  if (before) list.set(name, { ...before, ...change });
}

export const changeOrder = (
  draft: JobDraft,
  { gear, order }: { readonly gear: string; readonly order: string },
  change: Partial<Order>,
): void => changeIn(gearOf(draft, gear).orders, order, change);

/** Something to be looked at again on a day, set by the entry of that id. */
export const lookAgain = (id: string, what: string, due: string): FollowUp => ({
  kind: 'followUpSet',
  action: 'look',
  what,
  due,
  id,
  done: null,
});
