import { entryReceipt, machine, photoReceipt, shelfItem } from '@patient-badger/contract';
import { z } from 'zod';
import { ApiRefusal, call, NoAnswer } from './api.ts';
import { markRefused, outbox, photoArrived, remove, type Waiting } from './outbox.ts';

export type ConnectionState = 'up' | 'down';
let state: ConnectionState = 'up';
const watchers = new Set<() => void>();
export const connection = {
  get: () => state,
  subscribe(watcher: () => void) {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
};
export function setConnection(next: ConnectionState) {
  if (next === state) return;
  state = next;
  watchers.forEach((watcher) => watcher());
}

let sending = false;

/**
 * Sends what waits, oldest first, one at a time: a machine before the job that needs it. Stops where
 * nobody answers (it is tried again later); what is refused for good is marked with the reason and kept.
 */
export async function sendWaiting(onSent: (item: Waiting) => Promise<void>): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (;;) {
      const item = outbox.get().find(({ refused }) => refused === undefined);
      if (!item) return;
      const refused = await sendOne(item);
      setConnection('up');
      if (refused === null) await onSent(item);
      else await markRefused(item, refused);
    }
  } catch (error) {
    if (!(error instanceof NoAnswer) && !(error instanceof ApiRefusal)) throw error;
    setConnection('down');
  } finally {
    sending = false;
  }
}

/** Null where it arrived, the reason where it never will. @throws NoAnswer or a 5xx refusal where it may yet */
async function sendOne(item: Waiting): Promise<string | null> {
  try {
    switch (item.kind) {
      case 'machine':
        await call('/api/machines', machine, { json: item.machine, person: item.by });
        await remove(item.key);
        return null;
      case 'shelf':
        await call('/api/shelf', shelfItem, { json: item.item, person: item.by });
        await remove(item.key);
        return null;
      case 'photo': {
        const { hash } = await call('/api/photos', photoReceipt, { bytes: item.blob, person: item.by });
        await photoArrived(item, hash);
        return null;
      }
      case 'entry': {
        const [receipt] = await call('/api/entries', z.array(entryReceipt), { json: [item.entry], person: item.entry.by });
        if (receipt?.status === 'refused') return receipt.sentence ?? 'The server refused it.';
        return null;
      }
    }
  } catch (error) {
    if (error instanceof ApiRefusal && error.status < 500 && error.status !== 429) return error.message;
    throw error;
  }
}
