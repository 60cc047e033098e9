import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { RackQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a rack. */
export const RACK_WORDS: Readonly<Record<RackQuantity, QuantityWords>> = {
  teeth: { ...COMMON_WORDS.teeth, how: t.countTheTeethOfTheRack, within: { least: 1, most: 10_000, else: t.teethAreCountedAWhole } },
  axialPitch: {
    name: t.pitchAlongTheRack,
    short: t.alongTheRack,
    how: t.alongTheRackSameSide,
    kind: 'length',
    over: { ask: t.teethMeasuredOver, usual: 8 },
  },
  toothHeightMm: { name: t.toothHeight, short: t.toothHeight, how: t.depthRodBetweenTwoTeeth, kind: 'length' },
  pressureAngleDeg: {
    name: shared.pressureAngle,
    short: shared.pressureAngle,
    how: t.protractorOnTheFlankOf,
    kind: 'angle',
    within: { least: 5, most: 40, else: t.aFlankLeansBetween },
  },
  faceWidthMm: COMMON_WORDS.faceWidthMm,
  tipWidthMm: COMMON_WORDS.tipWidthMm,
  freshTipWidthMm: COMMON_WORDS.freshTipWidthMm,
};
