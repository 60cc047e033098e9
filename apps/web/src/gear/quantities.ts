import type { CylindricalQuantity, GearCard, GearQuantity, SizedQuantity, WormQuantity } from '@patient-badger/core';

export interface QuantityWords {
  readonly name: string;
  readonly short: string;
  readonly how: string;
  readonly kind: 'length' | 'angle' | 'count';
  /** What else has to be said: pitches measured over, or teeth of the wheel. */
  readonly over?: { readonly ask: string; readonly usual: number };
  /** For angles and counts: what a number beyond these is told. Counts are whole. */
  readonly within?: { readonly least: number; readonly most: number; readonly else: string };
}

/** The dimensions of a worm in words of the bench, and how each is taken. */
export const WORM_WORDS: Readonly<Record<WormQuantity, QuantityWords>> = {
  tipDiameterMm: {
    name: 'Diameter over the tips',
    short: 'Over the tips',
    how: 'Flat jaws across two thread tips; turn the worm and keep the largest.',
    kind: 'length',
  },
  rootDiameterMm: { name: 'Root diameter', short: 'Root', how: 'Knife edges of the caliper in the bottom of the thread.', kind: 'length' },
  axialPitch: {
    name: 'Pitch along the worm',
    short: 'Along the thread',
    how: 'Along the worm, same side of one thread to same side of another. Over more threads it gets surer.',
    kind: 'length',
    over: { ask: 'Threads measured over', usual: 4 },
  },
  starts: {
    name: 'Starts',
    short: 'Starts',
    how: 'Look at the end face and count where threads begin.',
    kind: 'count',
    within: { least: 1, most: 12, else: 'Starts are counted: a whole number, 1 to 12.' },
  },
  leadAngleDeg: {
    name: 'Lead angle',
    short: 'Lead angle',
    how: 'Ink the threads, roll the worm on paper along a straight edge, measure the lines.',
    kind: 'angle',
    within: { least: 0, most: 89.9, else: 'A lead angle is below 90°.' },
  },
  centreDistanceMm: {
    name: 'Centre distance to the pinion',
    short: 'To the pinion',
    how: 'Middle of the worm to middle of the pinion, in the housing.',
    kind: 'length',
    over: { ask: 'Teeth of the pinion', usual: 17 },
  },
  boreDiameterMm: {
    name: 'Bore',
    short: 'Bore',
    how: 'Inside jaws; turn by a quarter and measure again: a worn bore is oval.',
    kind: 'length',
  },
  faceWidthMm: { name: 'Length of the worm', short: 'Length', how: 'Over everything, face to face.', kind: 'length' },
};

/** The dimensions of a spur or helical gear in words of the bench, and how each is taken. */
export const CYLINDRICAL_WORDS: Readonly<Record<CylindricalQuantity, QuantityWords>> = {
  teeth: {
    name: 'Teeth',
    short: 'Teeth',
    how: 'Mark one tooth and count round to it. Count the missing ones too.',
    kind: 'count',
    within: { least: 4, most: 500, else: 'Teeth are counted: a whole number, 4 to 500.' },
  },
  arcDeg: {
    name: 'Angle of a piece of the rim',
    short: 'Piece of the rim',
    how: 'Protractor on the middle: from the middle of the first tooth to the middle of the last.',
    kind: 'angle',
    over: { ask: 'Pitches in that angle (teeth less one)', usual: 6 },
    within: { least: 1, most: 360, else: 'A piece of a rim is between 1° and 360°.' },
  },
  tipDiameterMm: {
    name: 'Diameter over the tips',
    short: 'Over the tips',
    how: 'Caliper over two opposite teeth; with an odd count turn the gear to the largest reading.',
    kind: 'length',
  },
  rootDiameterMm: {
    name: 'Root diameter',
    short: 'Root',
    how: 'Knife edges of the caliper in two opposite spaces.',
    kind: 'length',
  },
  spanMm: {
    name: 'Span over teeth',
    short: 'Span',
    how: 'Flat jaws over several teeth, square to them, rocked to the shortest reading. On teeth that have hardly worked.',
    kind: 'length',
    over: { ask: 'Teeth between the jaws', usual: 3 },
  },
  helixAngleDeg: {
    name: 'Helix angle',
    short: 'Helix angle',
    how: 'Ink the tips, roll the gear on paper along a straight edge, measure the lines against its axis. Straight teeth: leave it.',
    kind: 'angle',
    within: { least: 0, most: 60, else: 'A helix angle is below 60°, measured against the axis.' },
  },
  centreDistanceMm: {
    name: 'Centre distance to the mate',
    short: 'To the mate',
    how: 'Middle of one shaft to middle of the other, in the housing.',
    kind: 'length',
    over: { ask: 'Teeth of the mate', usual: 17 },
  },
  boreDiameterMm: WORM_WORDS.boreDiameterMm,
  faceWidthMm: { name: 'Face width', short: 'Face width', how: 'Along the teeth, face to face.', kind: 'length' },
};

/** The dimensions of a bevel, measured at its large end. */
export const BEVEL_WORDS: Readonly<Record<SizedQuantity, QuantityWords>> = {
  teeth: CYLINDRICAL_WORDS.teeth,
  mateTeeth: {
    ...CYLINDRICAL_WORDS.teeth,
    name: 'Teeth of the mate',
    short: 'Teeth of mate',
    how: 'Count the other bevel of the pair too: the cone follows from both.',
  },
  tipDiameterMm: {
    name: 'Diameter over the tips, large end',
    short: 'Over the tips',
    how: 'Caliper over two opposite teeth at the large end; with an odd count turn the gear to the largest reading.',
    kind: 'length',
  },
  toothHeightMm: {
    name: 'Tooth height, large end',
    short: 'Tooth height',
    how: 'Depth rod of the caliper from a tip into the space beside it.',
    kind: 'length',
  },
  boreDiameterMm: WORM_WORDS.boreDiameterMm,
  faceWidthMm: { name: 'Length of a tooth', short: 'Tooth length', how: 'Along a tooth, from the large end to the small.', kind: 'length' },
};

/** The dimensions of a worm wheel, measured where its teeth are lowest. */
export const WHEEL_WORDS: Readonly<Record<Exclude<SizedQuantity, 'mateTeeth'>, QuantityWords>> = {
  teeth: CYLINDRICAL_WORDS.teeth,
  tipDiameterMm: {
    name: 'Diameter over the tips, in the throat',
    short: 'In the throat',
    how: 'Over two opposite teeth in the middle of their length, where they are lowest.',
    kind: 'length',
  },
  toothHeightMm: { ...BEVEL_WORDS.toothHeightMm, name: 'Tooth height, in the throat' },
  boreDiameterMm: WORM_WORDS.boreDiameterMm,
  faceWidthMm: CYLINDRICAL_WORDS.faceWidthMm,
};

/** Words for each dimension that a gear of a kind has. */
export type BenchWords = Readonly<Partial<Record<GearQuantity, QuantityWords>>>;

export function benchWords(type: GearCard['type']): BenchWords {
  switch (type) {
    case 'worm':
      return WORM_WORDS;
    case 'bevel':
      return BEVEL_WORDS;
    case 'wormWheel':
      return WHEEL_WORDS;
    default:
      return CYLINDRICAL_WORDS;
  }
}

/** Words for any dimension that the log may hold. */
export const gearWords = (quantity: GearQuantity): QuantityWords => ALL_WORDS[quantity];
const ALL_WORDS: Readonly<Record<GearQuantity, QuantityWords>> = { ...BEVEL_WORDS, ...CYLINDRICAL_WORDS, ...WORM_WORDS };
