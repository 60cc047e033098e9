import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { WormSectorQuantity } from '@patient-badger/core/gear';
import { CYLINDRICAL_WORDS } from '../cylindrical/words.ts';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';
import { WHEEL_WORDS } from '../wormWheel/words.ts';

/** The dimensions of a sector that a worm drives. */
export const WORM_SECTOR_WORDS: Readonly<Record<WormSectorQuantity, QuantityWords>> = {
  teeth: {
    ...COMMON_WORDS.teeth,
    name: t.teethThatAreThere,
    how: t.countEveryToothOfThe,
    within: { least: 2, most: 500, else: t.teethAreCountedAWhole },
  },
  arcDeg: CYLINDRICAL_WORDS.arcDeg,
  axialPitch: {
    name: t.pitchAlongTheRim,
    short: t.alongTheRim,
    how: t.alongTheRimOverTips,
    kind: 'length',
    over: { ask: t.teethMeasuredOver, usual: 5 },
  },
  toothHeightMm: WHEEL_WORDS.toothHeightMm,
  leadAngleDeg: {
    name: t.leanOfTheTeeth,
    short: shared.leadAngle,
    how: t.protractorAlongAToothAgainst,
    kind: 'angle',
    within: { least: 0, most: 60, else: t.aLeadAngleIsBelow },
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: COMMON_WORDS.faceWidthMm,
  tipWidthMm: COMMON_WORDS.tipWidthMm,
  freshTipWidthMm: COMMON_WORDS.freshTipWidthMm,
};
