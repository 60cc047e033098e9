import { t } from '@patient-badger/wording/shared';
import type { BoreSeat, SEAT_SHAPES } from '@patient-badger/core/gear';

export type SeatShape = (typeof SEAT_SHAPES)[number];

export const SEAT_WORDS: Readonly<Record<SeatShape, string>> = {
  round: t.round,
  dFlat: 'D',
  doubleD: t.doubleD2,
  square: t.square,
  hex: t.hexagon,
  key: t.key,
  spline: t.spline,
};

export type SeatPlace = 'diameterMm' | 'acrossFlatsMm' | 'keyWidthMm';

/** What has to be measured of bore and shaft for each shape, with its name on both. */
export const SEAT_PLACES: Readonly<Record<SeatShape, readonly (readonly [SeatPlace, bore: string, shaft: string])[]>> = {
  round: [['diameterMm', t.bore, t.shaft]],
  dFlat: [
    ['diameterMm', t.bore, t.shaft],
    ['acrossFlatsMm', t.boreFlatToRound, t.shaftFlatToRound],
  ],
  doubleD: [
    ['diameterMm', t.bore, t.shaft],
    ['acrossFlatsMm', t.boreFlatToFlat, t.shaftFlatToFlat],
  ],
  square: [['acrossFlatsMm', t.holeFlatToFlat, t.shaftFlatToFlat]],
  hex: [['acrossFlatsMm', t.holeFlatToFlat, t.shaftFlatToFlat]],
  key: [
    ['diameterMm', t.bore, t.shaft],
    ['keyWidthMm', t.keyway, t.key],
  ],
  spline: [
    ['diameterMm', t.boreOverAll, t.shaftOverAll],
    ['keyWidthMm', t.spaceOfTheHub, t.toothOfTheShaft],
  ],
};

export const SEAT_VERDICTS: Readonly<Record<BoreSeat['verdict'], string>> = {
  good: t.sitsWell,
  watch: t.watchIt,
  replace: t.wornOut,
  measureMore: t.measureMore,
};
