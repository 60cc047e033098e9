const WORDS: Readonly<Record<string, string>> = {
  starts: 'number of starts',
  wheelTeeth: 'wheel teeth',
  mateTeeth: 'teeth of the mate',
  axialModuleMm: 'axial module',
  normalModuleMm: 'module',
  wormPitchDiameterMm: 'worm pitch diameter',
  diameterQuotient: 'diameter quotient',
  normalPressureAngleDeg: 'pressure angle',
  pressureAngleDeg: 'pressure angle',
  wheelProfileShift: 'profile shift of the wheel',
  frictionCoefficient: 'friction coefficient',
  tipDiameterMm: 'diameter over the tips',
  rootDiameterMm: 'root diameter',
  leadAngleDeg: 'lead angle',
  axialPitch: 'pitch along the worm',
  threads: 'number of thread pitches measured over',
  lengthMm: 'length',
  distanceMm: 'distance',
  plusMinus: '± of the instrument',
  value: 'reading',
  turns: 'turns',
  travelMm: 'travel',
  body: 'station',
  joint: 'joint',
  teeth: 'teeth',
  look: 'look',
  result: 'result of the look',
  family: 'machine family',
  boreDiameterMm: 'bore',
  op: 'operation',
  id: 'name',
  arcDeg: 'arc',
  rgba: 'picture',
  youngsModulusMPa: 'Young’s modulus',
  yieldMPa: 'yield strength',
  poissonRatio: 'Poisson’s ratio',
  expansionPerK: 'thermal expansion',
  shearStrengthMPa: 'shear strength',
  pinShearStrengthMPa: 'shear strength of the pin',
  seatBearingStrengthMPa: 'bearing strength of the seat',
  shaftBearingStrengthMPa: 'bearing strength of the shaft',
  roughnessRzMm: 'roughness depth',
  fittedAtC: 'temperature when it was fitted',
  wantedTorqueNm: 'torque wanted',
  majorMm: 'outer diameter',
  minorMm: 'diameter over the lands',
  toothMm: 'width of a spline’s tooth',
  rimMm: 'rim outside the roots',
  backMm: 'back behind the roots',
  teethPresent: 'teeth that are left',
  outerModuleMm: 'module at the large end',
  engagedMm: 'length of thread engaged',
  floatMm: 'end float',
  minMm: 'lower limit',
  maxMm: 'upper limit',
  leftMm: 'left side',
  rightMm: 'right side',
  handRpm: 'turns a minute by hand',
  drillRpm: 'turns a minute of the drill',
  publishedTurnsPerKm: 'maker’s turns per km',
  withinPercent: 'limit in percent',
  rateMinorPerHour: 'rate per hour',
  partsMinor: 'price of the parts',
  partMinor: 'price of the part',
  actMinor: 'cost of doing it',
  wrongMinor: 'cost of being wrong',
  readTo: 'figure that it is read to',
  perYear: 'use a year',
  yearlyKm: 'km a year',
  toothThinningMm: 'wear of the tooth',
};

/** Units and the like at the end of a field's name, which a sentence leaves out. */
const UNITS = /(?<!Per)(Mm|Px|Deg|Percent|Km|Kmh|Minor|Rpm|Nm|MPa|Ms|M|C)$/;

/** A name made of several words, as words. @example inWords('faceWidthMm') // 'face width' */
export const inWords = (name: string): string =>
  name
    .replace(UNITS, '')
    .replaceAll(/([a-z\d])([A-Z])/g, '$1 $2')
    .toLowerCase();

/** The bench word for the last field of a dotted path; the field's name as words where none is known. */
export function fieldName(path: string): string {
  const parts = path.split('.').filter((part) => !/^\d+$/.test(part));
  const last = parts.at(-1) ?? '';
  const before = parts.at(-2);
  if ((last === 'value' || last === 'plusMinus') && before) {
    const owner = wordOf(before);
    return last === 'value' ? owner : `± of the ${owner}`;
  }
  return wordOf(last) || 'input';
}

const wordOf = (field: string) => (Object.hasOwn(WORDS, field) ? (WORDS[field] as string) : inWords(field));
