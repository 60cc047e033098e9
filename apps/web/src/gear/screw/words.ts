import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { ScrewQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a moving screw. */
export const SCREW_WORDS: Readonly<Record<ScrewQuantity, QuantityWords>> = {
  starts: {
    name: shared.starts,
    short: shared.starts,
    how: t.countTheThreadsThatBegin,
    kind: 'count',
    within: { least: 1, most: 12, else: t.startsAreCountedAWhole },
  },
  tipDiameterMm: { name: t.diameterOverTheThread, short: t.overTheThread, how: t.flatJawsOverTheThread, kind: 'length' },
  axialPitch: {
    name: t.pitchAlongTheScrew,
    short: t.alongTheThread,
    how: t.alongTheScrewCrestToCrest,
    kind: 'length',
    over: { ask: t.threadsMeasuredOver, usual: 10 },
  },
  travelMm: {
    name: t.travelOfTheNut,
    short: t.travelOfTheNut,
    how: t.turnItSoManyTimes,
    kind: 'length',
    over: { ask: t.turnsOfTheScrew, usual: 10 },
  },
  pressureAngleDeg: {
    name: t.leanOfAFlank,
    short: t.flank,
    how: t.protractorOnTheFlankOfAThread,
    kind: 'angle',
    within: { least: 5, most: 45, else: t.aFlankOfAThreadLeansBetween },
  },
  faceWidthMm: { name: t.lengthOfTheThread, short: shared.length2, how: t.alongTheThreadFromEnd, kind: 'length' },
  tipWidthMm: COMMON_WORDS.tipWidthMm,
  freshTipWidthMm: COMMON_WORDS.freshTipWidthMm,
};
