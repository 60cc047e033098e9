import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { BevelQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a bevel, measured at its large end. */
export const BEVEL_WORDS: Readonly<Record<BevelQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
  mateTeeth: {
    ...COMMON_WORDS.teeth,
    name: shared.teethOfTheMate,
    short: t.teethOfMate,
    how: t.countTheOtherBevelOf,
  },
  tipDiameterMm: {
    name: t.diameterOverTheTipsLarge,
    short: shared.overTheTips,
    how: t.caliperOverTwoOppositeTeeth,
    kind: 'length',
  },
  toothHeightMm: {
    name: t.toothHeightLargeEnd,
    short: t.toothHeight,
    how: t.depthRodOfTheCaliper,
    kind: 'length',
  },
  shaftOffsetMm: {
    name: t.offsetOfTheShafts,
    short: t.offset,
    how: t.rodsThroughBothShafts,
    kind: 'length',
    within: { least: 0, most: 500, else: t.shaftsPassWithin },
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: { name: t.lengthOfATooth, short: t.toothLength, how: t.alongAToothFromThe, kind: 'length' },
};
