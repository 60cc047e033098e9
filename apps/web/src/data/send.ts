import { t } from '@patient-badger/wording/shared';
import { entryReceipt, machine, photoReceipt, shelfItem } from '@patient-badger/contract';
import { z } from 'zod';
import { ApiRefusal, call, NoAnswer } from './api.ts';
import { setConnection } from './connection.ts';
import { authorOf, heldUntilProven, outbox, photoArrived, replace, setAside, waitForPin, type Waiting } from './outbox.ts';
import { tellPutDown } from './putDown.ts';
import { standing } from './signedOut.ts';
import { askStanding } from './standing.ts';

/** Answers of the shop server that are about the moment and not about the note. */
const LATER = new Set(['databaseAway', 'recordReadOnly', 'newerDatabase', 'tooMany', 'photoBusy']);
/** Answers that are about who is signed in: the note waits until somebody has shown who they are. */
const WHO = new Set(['signInFirst', 'confirmWho']);
/** A note at which the server itself broke so often is set aside, so that the rest goes on. */
const MOST_FAILURES = 3;
const PHOTO_DEADLINE_MS = 120_000;

/** The number under which the server took an entry; none for what is no entry. */
export type Delivery = { readonly item: Waiting; readonly seq?: number | undefined };

let sending: Promise<void> | null = null;

/**
 * Sends what waits, oldest first, one at a time: a machine before the job that needs it. Stops where nobody
 * answers (it is tried again later). What the shop server itself will not have is set aside with its reason,
 * and the rest goes on. One window of the device sends at a time, where the browser can see to that; where
 * it cannot, two may send the same, which the server knows by its id.
 */
export function sendWaiting(onSent: (sent: Delivery) => Promise<void>): Promise<void> {
  sending ??= alone(() => sendAll(onSent)).finally(() => (sending = null));
  return sending;
}

function alone(work: () => Promise<void>): Promise<void> {
  const { locks } = globalThis.navigator as Partial<Navigator>;
  return locks ? locks.request('patient-badger-send', work) : work();
}

async function sendAll(onSent: (sent: Delivery) => Promise<void>): Promise<void> {
  for (;;) {
    if (standing.get()?.state !== 'signedIn' || !(await tellPutDown())) return;
    const held = heldUntilProven(outbox.get(), standing.get()?.proven ?? []);
    const item = outbox.get().find(({ key, refused, sent }) => refused === undefined && !sent && !held.has(key));
    if (!item) return;
    try {
      const answer = await sendOne(item);
      setConnection('up');
      if (answer.unsigned) await waitForPin(item);
      else if (answer.refused !== undefined) await setAside(item, answer.refused);
      else if (item.kind !== 'photo') await onSent({ item, seq: answer.seq });
    } catch (error) {
      if (error instanceof ApiRefusal && WHO.has(error.code)) return askStanding();
      if (error instanceof ApiRefusal && (await setAsideOrTryOn(item, error))) continue;
      if (!(error instanceof NoAnswer) && !(error instanceof ApiRefusal)) throw error;
      setConnection('down');
      return;
    }
  }
}

/** True where the next note may be sent at once. */
async function setAsideOrTryOn(item: Waiting, { status, code, message }: ApiRefusal): Promise<boolean> {
  if (LATER.has(code)) return false;
  const failures = (item.failures ?? 0) + 1;
  if (status < 500 || failures >= MOST_FAILURES) {
    await setAside(item, message);
    return true;
  }
  await replace({ ...item, failures });
  return false;
}

interface Answer {
  readonly refused?: string;
  readonly unsigned?: true;
  readonly seq?: number | undefined;
}

/** @throws NoAnswer, or the server's refusal of the whole */
async function sendOne(item: Waiting): Promise<Answer> {
  switch (item.kind) {
    case 'machine':
      await call('/api/machines', machine, { json: item.machine, person: item.by });
      return {};
    case 'shelf':
      await call('/api/shelf', shelfItem, { json: item.item, person: item.by });
      return {};
    case 'photo': {
      const { hash } = await call('/api/photos', photoReceipt, { bytes: item.blob, person: item.by, deadlineMs: PHOTO_DEADLINE_MS });
      await photoArrived(item, hash);
      return {};
    }
    case 'entry': {
      const [receipt] = await call('/api/entries', z.array(entryReceipt), { json: [item.entry], person: authorOf(item) });
      if (receipt?.id !== item.entry.id) throw new NoAnswer();
      if (receipt.status === 'unsigned') return { unsigned: true };
      return receipt.status === 'refused' ? { refused: receipt.sentence ?? t.theServerRefusedIt } : { seq: receipt.seq };
    }
  }
}
