import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  find: 'Find',
  itsBook: 'Its book',
  machineOwnerPlatePartNumber: 'Machine, owner, plate, part number, job or model',
  nothingBeginsWithThisComes: (sought: Value) => `Nothing begins with “${sought}”; this comes near to it.`,
  nothingHereMatchesTheBeginning: (sought: Value) => `Nothing here matches “${sought}”. The beginning of each word is enough.`,
  numbersOnMachines: 'Numbers on machines',
});
