import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  aSoundOne: (sound: Value) => `A sound one: ${sound}`,
  benchCamera: 'bench camera',
  dialIndicator: 'dial indicator',
  drillBench: 'drill bench',
  faultCodeReader: 'fault-code reader',
  readThe: (name: Value) => `Read the ${name}`,
  readingThe: (name: Value) => `Reading the ${name} …`,
  roadSpeedReference: 'road-speed reference',
  setItToNoughtAnd: 'Set it to nought and read again',
  takeIt: (result: Value) => `Take it: ${result}`,
  thatIsNoFigureThat: 'That is no figure that can be read there. Type it like 0.35, without a sign.',
  theCameraShowsNothing: 'The camera shows nothing.',
  theDisplayStoodAtBefore: (figure: Value) => `The display stood at ${figure} before anything moved. That is taken off above.`,
  theDriveStallsNothingGoes: 'The drive stalls: nothing goes in.',
  theInstrumentShowsNothing: 'The instrument shows nothing.',
});
