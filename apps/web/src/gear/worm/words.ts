import type { WormQuantity } from '@patient-badger/core';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

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
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: { name: 'Length of the worm', short: 'Length', how: 'Over everything, face to face.', kind: 'length' },
};
