import type { WormWheelQuantity } from '@patient-badger/core';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a worm wheel, measured where its teeth are lowest. */
export const WHEEL_WORDS: Readonly<Record<WormWheelQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
  tipDiameterMm: {
    name: 'Diameter over the tips, in the throat',
    short: 'In the throat',
    how: 'Over two opposite teeth in the middle of their length, where they are lowest.',
    kind: 'length',
  },
  toothHeightMm: {
    name: 'Tooth height, in the throat',
    short: 'Tooth height',
    how: 'Depth rod of the caliper from a tip into the space beside it.',
    kind: 'length',
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: COMMON_WORDS.faceWidthMm,
};
