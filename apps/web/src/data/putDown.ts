import { ApiRefusal, call } from './api.ts';
import { setConnection } from './connection.ts';
import { choosePerson } from './person.ts';
import { isPutDown, setPutDown, standing } from './signedOut.ts';
import { standingReader } from './standing.ts';

/** Somebody takes the device by name alone: from here on nothing goes out under any name until its PIN was given. */
export function takeByName(person: string): void {
  setPutDown(true);
  const before = standing.get();
  if (before) standing.set({ ...before, person: null, proven: [] });
  choosePerson(person);
}

/** First of all the server hears that the device changed hands. False where it could not be told. */
export async function tellPutDown(): Promise<boolean> {
  if (!isPutDown()) return true;
  try {
    const next = await call('/api/put-down', standingReader, { method: 'POST', json: {}, person: null });
    setPutDown(false);
    setConnection('up');
    standing.set(next);
    return true;
  } catch (error) {
    // Signed out meanwhile: nobody holds it either way.
    if (!(error instanceof ApiRefusal) || error.code !== 'signInFirst') return false;
    setPutDown(false);
    return true;
  }
}
