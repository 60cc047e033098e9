import type { BevelQuantity } from '@patient-badger/core';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a bevel, measured at its large end. */
export const BEVEL_WORDS: Readonly<Record<BevelQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
  mateTeeth: {
    ...COMMON_WORDS.teeth,
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
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: { name: 'Length of a tooth', short: 'Tooth length', how: 'Along a tooth, from the large end to the small.', kind: 'length' },
};
