import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  aGearPutOnThe: 'A gear put on the shelf',
  aMachineWrittenDown: 'A machine written down',
  aNoteOnAJob: 'A note on a job that is not on this device',
  aPhoto: 'A photo',
  asTheDevice: 'As the device',
  dark: 'Dark',
  devices: 'Devices',
  forWorkWithoutAConnection: (job: Value) =>
    `For work without a connection: the bench, the latest finished jobs, and the ${job} jobs that were open here last. Everything that was ever written is on the shop server.`,
  keptOnThisDevice: 'Kept on this device',
  lengthsIn: 'Lengths in',
  light: 'Light',
  lightForTheSun: 'Light, for the sun',
  notesSetAside: (count: Value) => `Notes set aside: ${count}`,
  peopleMoneyUnitsOpeningIt: 'People, money, units, opening it on a phone',
  sendItAgain: 'Send it again',
  sendItSo: 'Send it so',
  theShopServerWouldNot: 'The shop server would not take them. They stay on this device until you send them again or throw them away.',
  throwThisNoteAway: 'Throw this note away',
  whatItSays: 'What it says',
  whereSomebodyIsSignedIn: 'Where somebody is signed in',
  youAndThisDevice: 'You and this device',
});
