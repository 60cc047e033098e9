import type { QueryClient } from '@tanstack/react-query';
import { clear, createStore } from 'idb-keyval';
import { choosePerson } from './person.ts';
import { setSignOutDue, standing } from './signedOut.ts';

/** What was read last, as it is kept on this device. */
export const readStore = createStore('patient-badger-read', 'queries');

/** The windows of this device: one that is signed out signs the others out. */
const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('patient-badger-sign-out');

/**
 * Signed out, connection or not: owners, telephone numbers, jobs and photos that were read are gone from this device and
 * from all its windows. What was written here and is not on the server stays, for nothing recorded is lost. Until the
 * server has heard of it nothing is asked under the old session.
 */
export async function forgetAll(client: QueryClient): Promise<void> {
  setSignOutDue(true);
  windows?.postMessage('signedOut');
  await forgetHere(client);
}

async function forgetHere(client: QueryClient): Promise<void> {
  choosePerson(null);
  const before = standing.get();
  if (before) standing.set({ ...before, state: 'signIn', person: null, proven: [] });
  client.clear();
  await clear(readStore);
  if ('caches' in globalThis) await caches.delete('photos');
}

/** Another window of this device was signed out: this one is too. */
export function onForgotten(client: QueryClient): () => void {
  const hear = () => void forgetHere(client);
  windows?.addEventListener('message', hear);
  return () => windows?.removeEventListener('message', hear);
}
