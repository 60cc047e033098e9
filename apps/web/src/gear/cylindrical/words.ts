import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { CylindricalQuantity } from '@patient-badger/core/gear';
import { COMMON_WORDS, type QuantityWords } from '../QuantityWords.ts';

/** The dimensions of a spur or helical gear in words of the bench, and how each is taken. */
export const CYLINDRICAL_WORDS: Readonly<Record<CylindricalQuantity, QuantityWords>> = {
  teeth: COMMON_WORDS.teeth,
  arcDeg: {
    name: t.angleOfAPieceOf,
    short: t.pieceOfTheRim,
    how: t.protractorOnTheMiddleFrom,
    kind: 'angle',
    over: { ask: t.pitchesInThatAngleTeeth, usual: 6 },
    within: { least: 1, most: 360, else: t.aPieceOfARim },
  },
  tipDiameterMm: {
    name: t.diameterOverTheTips,
    short: shared.overTheTips,
    how: t.caliperOverTwoOppositeTeethWith,
    kind: 'length',
  },
  rootDiameterMm: {
    name: t.rootDiameter,
    short: t.root,
    how: t.knifeEdgesOfTheCaliper,
    kind: 'length',
  },
  spanMm: {
    name: t.spanOverTeeth,
    short: t.span,
    how: t.flatJawsOverSeveralTeeth,
    kind: 'length',
    over: { ask: t.teethBetweenTheJaws, usual: 3 },
  },
  helixAngleDeg: {
    name: shared.helixAngle,
    short: shared.helixAngle,
    how: t.inkTheTipsRollThe,
    kind: 'angle',
    within: { least: 0, most: 60, else: t.aHelixAngleIsBelow },
  },
  centreDistanceMm: {
    name: t.centreDistanceToTheMate,
    short: t.toTheMate,
    how: t.middleOfOneShaftTo,
    kind: 'length',
    over: { ask: shared.teethOfTheMate, usual: 17 },
  },
  boreDiameterMm: COMMON_WORDS.boreDiameterMm,
  faceWidthMm: COMMON_WORDS.faceWidthMm,
};
