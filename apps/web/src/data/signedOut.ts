import type { Standing } from '@patient-badger/contract';
import { createStored } from '../preferences/stored.ts';

/** A device is one, however many windows it has. */
const ACROSS = { acrossWindows: true };

/** How this device stands with the shop server, as it was told last; null where it never was. */
export const standing = createStored<Standing | null>('standing', null, ACROSS);

/** The device changed hands without a connection, and the server does not know of it yet. */
const putDown = createStored('put-down', false, ACROSS);
export const isPutDown = putDown.get;
export const setPutDown = putDown.set;

/** It was signed out here, and the server does not know of it yet. */
const signOutDue = createStored('sign-out-due', false, ACROSS);
export const isSignOutDue = signOutDue.get;
export const setSignOutDue = signOutDue.set;

/** The server no longer knows this device: everything stays as it is until somebody signs in again. */
export function signedOut(): void {
  const before = standing.get();
  if (before?.state === 'signedIn') standing.set({ ...before, state: 'signIn' });
}
