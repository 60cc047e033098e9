import { entry, type Entry, type EntryPayload } from '@patient-badger/core';
import { machineDraft, shelfDraft, type MachineDraft, type ShelfDraft } from '@patient-badger/contract';
import { createStore, del, entries as readAll, set, type UseStore } from 'idb-keyval';
import { v7 as uuid } from 'uuid';
import type { z } from 'zod';
import { currentPerson } from './person.ts';

/** What waits on this device until the server has acknowledged it, in the order it was written. */
export type Waiting =
  | { readonly kind: 'machine'; readonly key: string; readonly machine: MachineDraft; readonly by: string; readonly refused?: string }
  | { readonly kind: 'shelf'; readonly key: string; readonly item: ShelfDraft; readonly by: string; readonly refused?: string }
  | { readonly kind: 'entry'; readonly key: string; readonly entry: Entry; readonly refused?: string }
  | {
      readonly kind: 'photo';
      readonly key: string;
      readonly jobId: string;
      readonly about: string;
      readonly blob: Blob;
      readonly by: string;
      readonly at: string;
      readonly refused?: string;
    };

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

function show(next: readonly Waiting[]) {
  waiting = next;
  listeners.forEach((listener) => listener());
}

/** Reads what an earlier visit left unsent. Keys are time-ordered, so the order of writing is kept. */
export async function openOutbox(): Promise<void> {
  const kept = await readAll<string, Waiting>(box());
  const known = new Set(waiting.map(({ key }) => key));
  const all = [...kept.map(([, item]) => item).filter(({ key }) => !known.has(key)), ...waiting];
  show(all.sort((p, q) => (p.key < q.key ? -1 : 1)));
}

/** On disk first, on the screen after: what shows as recorded survives a reload. */
async function put(item: Waiting): Promise<void> {
  await set(item.key, item, box());
  show([...waiting.filter(({ key }) => key !== item.key), item].sort((p, q) => (p.key < q.key ? -1 : 1)));
}

export async function remove(key: string): Promise<void> {
  await del(key, box());
  show(waiting.filter((item) => item.key !== key));
}

export const markRefused = (item: Waiting, refused: string) => put({ ...item, refused });

/** Every note says who wrote it. */
function writer(): string {
  const by = currentPerson();
  if (!by) throw new Error('Choose who you are first.');
  return by;
}

/** Writes one entry of a job. Throws where nobody has said who they are, or the entry makes no sense. */
export async function record(jobId: string, payload: EntryPayload): Promise<Entry> {
  const by = writer();
  const made = entry.parse({ id: uuid(), jobId, at: new Date().toISOString(), by, payload });
  await put({ kind: 'entry', key: made.id, entry: made });
  return made;
}

export async function recordMachine(draft: Omit<MachineDraft, 'id'>): Promise<MachineDraft> {
  const by = writer();
  const machine = machineDraft.parse({ ...draft, id: uuid() });
  await put({ kind: 'machine', key: uuid(), machine, by });
  return machine;
}

/** A used gear put on the shelf. @throws ZodError where it lacks a name, a past or a place */
export async function recordShelfItem(draft: Omit<z.input<typeof shelfDraft>, 'id'>): Promise<ShelfDraft> {
  const by = writer();
  const item = shelfDraft.parse({ ...draft, id: uuid() });
  await put({ kind: 'shelf', key: uuid(), item, by });
  return item;
}

export async function recordPhoto(jobId: string, about: string, blob: Blob): Promise<void> {
  const by = writer();
  await put({ kind: 'photo', key: uuid(), jobId, about, blob, by, at: new Date().toISOString() });
}

/** A photo that has arrived becomes an entry under its own time and author. */
export async function photoArrived(item: Extract<Waiting, { kind: 'photo' }>, hash: string): Promise<void> {
  const made = entry.parse({
    id: uuid(),
    jobId: item.jobId,
    at: item.at,
    by: item.by,
    payload: { kind: 'photoTaken', hash, about: item.about },
  });
  await put({ kind: 'entry', key: made.id, entry: made });
  await remove(item.key);
}

export const newJobId = () => uuid();
