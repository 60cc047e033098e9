import type { Entry } from '@patient-badger/core/job';
import type { MachineDraft, ShelfDraft } from '@patient-badger/contract';
import { createStore, promisifyRequest, type UseStore } from 'idb-keyval';

/** Why the shop server would not take a note, in its own sentence; and how often it was sent in vain. */
interface Sending {
  readonly refused?: string;
  readonly failures?: number;
  /** It waits for the PIN of its author, given for it. */
  readonly unsigned?: true;
}
export type Note =
  | { readonly kind: 'machine'; readonly machine: MachineDraft; readonly by: string }
  | { readonly kind: 'shelf'; readonly item: ShelfDraft; readonly by: string }
  | { readonly kind: 'entry'; readonly entry: Entry }
  | {
      readonly kind: 'photo';
      /** Of the entry that tells of it, made when it was taken: however often it is sent, it is one. */
      readonly entryId: string;
      readonly jobId: string;
      readonly about: string;
      readonly blob: Blob;
      readonly by: string;
      readonly at: string;
    };
/** What waits on this device until the server has acknowledged it. */
export type Waiting = Note &
  Sending & { readonly key: string; /** It has arrived, and is kept a moment longer; only in memory. */ readonly sent?: true };

/** Under whose name a note goes out. */
export const authorOf = (item: Note): string => (item.kind === 'entry' ? item.entry.by : item.by);

/** What a note is known by, whatever its place in the box: an empty box counts its keys from one again. */
const idOf = (item: Note): string => {
  if (item.kind === 'entry') return item.entry.id;
  if (item.kind === 'photo') return item.entryId;
  return item.kind === 'machine' ? item.machine.id : item.item.id;
};

/** What a note needs to be on record before it: the job, and of a take-in the machine. */
const needsOf = (item: Note): readonly string[] => {
  if (item.kind === 'machine') return [item.machine.id];
  if (item.kind === 'shelf') return [item.item.id, ...(item.item.machineId ? [item.item.machineId] : [])];
  if (item.kind === 'photo') return [item.jobId];
  const { jobId, payload } = item.entry;
  // An order, an item, what is taken back: named by the entry that wrote it.
  const named = Object.values(payload).filter((each): each is string => typeof each === 'string');
  return payload.kind === 'takenIn' ? [jobId, payload.machineId] : [jobId, ...named];
};

/** What is there for others only once this note is on record. */
const makesOf = (item: Note): readonly string[] => {
  if (item.kind === 'entry') return item.entry.payload.kind === 'takenIn' ? [item.entry.jobId, item.entry.id] : [item.entry.id];
  return [idOf(item)];
};

/**
 * Which notes stay until their author has shown on this device that it was them, and with them whatever
 * builds on those: the work of others goes out meanwhile.
 */
export function heldUntilProven(list: readonly Waiting[], proven: readonly string[]): ReadonlySet<string> {
  const held = new Set<string>();
  const missing = new Set<string>();
  for (const item of list) {
    const needs = needsOf(item);
    if (proven.includes(authorOf(item)) && !item.unsigned && !needs.some((id) => missing.has(id))) continue;
    held.add(item.key);
    makesOf(item).forEach((id) => missing.add(id));
  }
  return held;
}

let store: UseStore | undefined;
const box = () => (store ??= createStore('patient-badger-outbox', 'waiting'));

let waiting: readonly Waiting[] = [];
const listeners = new Set<() => void>();

export const outbox = {
  get: (): readonly Waiting[] => waiting,
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** What windows of a device tell each other: the box is another, or an entry is on the server. */
type OutboxChange = 'changed' | { readonly arrived: Entry };
/** The other windows of this device write into the same box. */
const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('patient-badger-outbox');
windows?.addEventListener('message', ({ data }: MessageEvent<OutboxChange>) => {
  if (data === 'changed') void openOutbox();
  else takers.forEach((take) => take(data.arrived));
});
const tell = (told: OutboxChange) => windows?.postMessage(told);

const takers = new Set<(entry: Entry) => void>();
/** Told of each entry that another window has sent, before it goes from the box: this one may be without a connection. */
export function onSentElsewhere(take: (entry: Entry) => void): () => void {
  takers.add(take);
  return () => takers.delete(take);
}

/** Keys count up with the writing, whatever the clock says. Notes of older versions were kept by their ids. */
const COUNTED = /^\d{12}$/;
/** Counted keys begin with 00, ids of older versions with 01 or more. */
const BELOW_IDS = '01';
const counted = (n: number) => String(n).padStart(12, '0');
const inOrder = (list: readonly Waiting[]) =>
  [...list].sort((p, q) => Number(COUNTED.test(p.key)) - Number(COUNTED.test(q.key)) || (p.key < q.key ? -1 : 1));

const arrived = new Set<string>();

function show(next: readonly Waiting[]) {
  waiting = inOrder(next).map((item) => (arrived.has(idOf(item)) ? { ...item, sent: true } : item));
  listeners.forEach((listener) => listener());
}

/** What is on disk and what is shown change in one order: one after the other, never across. */
let turn: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = turn.then(work, work);
  turn = mine.catch(() => undefined);
  return mine;
}

/** One change of the box, all or nothing: on disk first, on the screen after. */
function change(work: (shelf: IDBObjectStore) => Promise<readonly Waiting[]> | readonly Waiting[]): Promise<void> {
  return inTurn(async () => {
    const next = await box()('readwrite', async (shelf) => {
      const done = promisifyRequest(shelf.transaction);
      const shown = await work(shelf);
      await done;
      return shown;
    });
    show(next);
    tell('changed');
  });
}

/** Reads what earlier visits and other windows left unsent. */
export const openOutbox = (): Promise<void> =>
  inTurn(async () => show(await box()('readonly', (shelf) => promisifyRequest<Waiting[]>(shelf.getAll()))));

/** What shows as recorded survives a reload. */
export async function put(note: Note): Promise<void> {
  await change(async (shelf) => {
    const last = await promisifyRequest(shelf.openKeyCursor(IDBKeyRange.upperBound(BELOW_IDS, true), 'prev'));
    const key = counted(last ? Number(last.key) + 1 : 1);
    const item: Waiting = { ...note, key };
    shelf.put(item, key);
    return [...waiting, item];
  });
}

/** Puts another note in the place of one that waits, if it still does. */
export async function replace({ sent: _, ...item }: Waiting): Promise<void> {
  await change(async (shelf) => {
    const there = await isThere(shelf, item);
    if (there) shelf.put(item, item.key);
    const others = without(item);
    return there ? [...others, item] : others;
  });
}

export async function remove(item: Waiting): Promise<void> {
  await change(async (shelf) => {
    if (await isThere(shelf, item)) shelf.delete(item.key);
    return without(item);
  });
  arrived.delete(idOf(item));
}

/** Whether it still lies in its place: another window may have taken it out, and laid another note there. */
async function isThere(shelf: IDBObjectStore, item: Waiting): Promise<boolean> {
  const found = await promisifyRequest<Waiting | undefined>(shelf.get(item.key));
  return found !== undefined && idOf(found) === idOf(item);
}

const without = (item: Waiting): readonly Waiting[] => waiting.filter((each) => idOf(each) !== idOf(item));

/** So long an entry that has arrived stays in the box: until what was read is on disk too, a reload would not show it. */
const KEPT_MS = 1500;

/** It has arrived: no longer waiting, and gone from the box in a moment. Sent once more after a reload, it is known. */
export function acknowledge(item: Waiting): void {
  arrived.add(idOf(item));
  if (item.kind === 'entry') tell({ arrived: item.entry });
  show(waiting);
  setTimeout(() => void remove(item).catch(() => undefined), KEPT_MS);
}

/** Kept until its author has given their PIN for it. */
export const waitForPin = (item: Waiting) => replace({ ...item, unsigned: true });

/** The server has the PIN that was given for these: they go out. */
export async function signed(ids: readonly string[]): Promise<void> {
  for (const { unsigned, ...item } of waiting) if (unsigned && ids.includes(idOf(item))) await replace(item);
}

/** Until what these have written has gone out, or so long: before the device changes hands, for after it nothing of theirs does. */
export async function untilSent(authors: readonly string[], ms: number): Promise<void> {
  const isLeft = () => waiting.some((item) => authors.includes(authorOf(item)) && !item.sent && !item.refused && !item.unsigned);
  for (const ends = Date.now() + ms; isLeft() && Date.now() < ends;) await new Promise((resolve) => setTimeout(resolve, 50));
}

/** Set aside with the reason: shown, and not sent again by itself. */
export const setAside = (item: Waiting, refused: string) => replace({ ...item, refused });

/** Sent again in its old place among the others. */
export async function sendAgain({ refused: _, failures: __, unsigned: ___, ...item }: Waiting): Promise<void> {
  await replace(item);
}

/** A photo that has arrived is from then on the entry that tells of it, under its own time and author: one change of the box. */
export const photoArrived = (item: Extract<Waiting, { kind: 'photo' }>, hash: string): Promise<void> =>
  replace({
    key: item.key,
    kind: 'entry',
    entry: { id: item.entryId, jobId: item.jobId, at: item.at, by: item.by, payload: { kind: 'photoTaken', hash, about: item.about } },
  });
