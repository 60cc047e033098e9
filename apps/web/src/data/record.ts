import { t } from '@patient-badger/wording/shared';
import { withoutBrokenText } from '@patient-badger/core';
import { entry, type Entry, type EntryPayload } from '@patient-badger/core/job';
import { machineDraft, shelfDraft, type MachineDraft, type ShelfDraft } from '@patient-badger/contract';
import { v7 as uuid } from 'uuid';
import type { z } from 'zod';
import { put } from './outbox.ts';
import { currentPerson } from './person.ts';

/** Every note says who wrote it. */
function writer(): string {
  const by = currentPerson();
  if (!by) throw new Error(t.chooseWhoYouAreFirst);
  return by;
}

/** Writes one entry of a job. Throws where nobody has said who they are, or the entry makes no sense. */
export async function record(jobId: string, payload: EntryPayload, id: string = newEntryId()): Promise<Entry> {
  const by = writer();
  const made = entry.parse({ id, jobId, at: new Date().toISOString(), by, payload: withoutBrokenText(payload) });
  await put({ kind: 'entry', entry: made });
  return made;
}

export async function recordMachine(draft: Omit<MachineDraft, 'id'>): Promise<MachineDraft> {
  const by = writer();
  const machine = machineDraft.parse({ ...withoutBrokenText(draft), id: uuid() });
  await put({ kind: 'machine', machine, by });
  return machine;
}

/** A used gear put on the shelf. @throws ZodError where it lacks a name, a past or a place */
export async function recordShelfItem(draft: Omit<z.input<typeof shelfDraft>, 'id'>): Promise<ShelfDraft> {
  const by = writer();
  const item = shelfDraft.parse({ ...withoutBrokenText(draft), id: uuid() });
  await put({ kind: 'shelf', item, by });
  return item;
}

export async function recordPhoto(jobId: string, about: string, blob: Blob): Promise<void> {
  await put({ kind: 'photo', entryId: uuid(), jobId, about, blob, by: writer(), at: new Date().toISOString() });
}

export const newJobId = () => uuid();
/** Of an entry that is signed before it is written. */
export const newEntryId = () => uuid();
