import { t } from '@patient-badger/wording/gear';
import type { WormWheelQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a worm wheel, measured where its teeth are lowest. */
export const WHEEL_WORDS: Readonly<Record<WormWheelQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
  tipDiameterMm: {
    name: t.diameterOverTheTipsIn,
    short: t.inTheThroat,
    how: t.overTwoOppositeTeethIn,
    kind: 'length',
  },
  toothHeightMm: {
    name: t.toothHeightInTheThroat,
    short: t.toothHeight,
    how: t.depthRodOfTheCaliper,
    kind: 'length',
  },
  outsideDiameterMm: { name: t.diameterOverTheEdges, short: t.overTheEdges, how: t.flatJawsOverTheEdges, kind: 'length' },
  throatRadiusMm: { name: t.radiusOfTheThroat, short: t.throat, how: t.radiusGaugeInTheThroat, kind: 'length' },
  faceAngleDeg: {
    name: t.angleOfTheFace,
    short: t.face,
    how: t.protractorAcrossTheFace,
    kind: 'angle',
    within: { least: 20, most: 180, else: t.aFaceReachesBetween },
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: COMMON_WORDS.faceWidthMm,
};
