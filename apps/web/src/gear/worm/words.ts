import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { WormQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a worm in words of the bench, and how each is taken. */
export const WORM_WORDS: Readonly<Record<WormQuantity, QuantityWords>> = {
  tipDiameterMm: {
    name: t.diameterOverTheTips,
    short: shared.overTheTips,
    how: t.flatJawsAcrossTwoThread,
    kind: 'length',
  },
  rootDiameterMm: { name: t.rootDiameter, short: t.root, how: t.knifeEdgesOfTheCaliperIn, kind: 'length' },
  axialPitch: {
    name: t.pitchAlongTheWorm,
    short: t.alongTheThread,
    how: t.alongTheWormSameSide,
    kind: 'length',
    over: { ask: t.threadsMeasuredOver, usual: 4 },
  },
  starts: {
    name: shared.starts,
    short: shared.starts,
    how: t.lookAtTheEndFace,
    kind: 'count',
    within: { least: 1, most: 12, else: t.startsAreCountedAWhole },
  },
  leadAngleDeg: {
    name: shared.leadAngle,
    short: shared.leadAngle,
    how: t.inkTheThreadsRollThe,
    kind: 'angle',
    within: { least: 0, most: 89.9, else: t.aLeadAngleIsBelow },
  },
  centreDistanceMm: {
    name: t.centreDistanceToThePinion,
    short: t.toThePinion,
    how: t.middleOfTheWormTo,
    kind: 'length',
    over: { ask: shared.teethOfThePinion, usual: 17 },
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: { name: t.lengthOfTheWorm, short: shared.length2, how: t.overEverythingFaceToFace, kind: 'length' },
};
