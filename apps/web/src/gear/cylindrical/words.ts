import type { CylindricalQuantity } from '@patient-badger/core';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a spur or helical gear in words of the bench, and how each is taken. */
export const CYLINDRICAL_WORDS: Readonly<Record<CylindricalQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
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
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: COMMON_WORDS.faceWidthMm,
};
