import { createStored } from '../preferences/stored.ts';

/** Who has this device: every note that is written on it says so. */
const person = createStored<string | null>('person', null, { acrossWindows: true });

export const currentPerson = person.get;
export const choosePerson = person.set;
export const usePerson = person.use;
