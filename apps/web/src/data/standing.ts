import type { Standing } from '@patient-badger/contract';
import { ApiRefusal, call, type Reader } from './api.ts';
import { choosePerson, currentPerson } from './person.ts';
import { isPutDown, isSignOutDue, setSignOutDue, standing } from './signedOut.ts';

/** A check of the fields that a first screen needs: the whole of Zod would come before it. */
export const standingReader: Reader<Standing> = {
  parse(given) {
    const { state, proven } = given as Partial<Standing>;
    if (typeof state !== 'string' || !Array.isArray(proven)) throw new TypeError('no standing');
    return given as Standing;
  },
};

/** What the server says of this device, from now on. Somebody who took the device without a connection keeps it. */
export function takeStanding(next: Standing): void {
  standing.set(next);
  const here = currentPerson();
  if (next.state === 'signedIn' && (here === null || next.proven.includes(here))) choosePerson(next.person);
}

/** The server hears that this device was signed out, before it is asked anything else. @throws NoAnswer */
export async function tellSignedOut(): Promise<void> {
  takeStanding(await call('/api/sign-out', standingReader, { method: 'POST', json: {}, person: null }));
  setSignOutDue(false);
}

/** Asks how this device stands; where nobody answers it stays as it was. */
export async function askStanding(): Promise<void> {
  try {
    if (isSignOutDue()) return await tellSignedOut();
    // What the server last heard of may not be who has it now.
    if (isPutDown()) return;
    takeStanding(await call('/api/standing', standingReader));
  } catch (error) {
    if (error instanceof ApiRefusal) console.warn('how this device stands could not be asked', error.message);
  }
}
