import { createStored } from '../preferences/stored.ts';

/** Who stands at this bench: chosen by name, kept on this device. */
const person = createStored<string | null>('person', null);

export const currentPerson = person.get;
export const choosePerson = person.set;
export const usePerson = person.use;
