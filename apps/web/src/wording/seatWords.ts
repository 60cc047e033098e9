import type { BoreSeat, SEAT_SHAPES } from '@patient-badger/core';

export type SeatShape = (typeof SEAT_SHAPES)[number];

export const SEAT_WORDS: Readonly<Record<SeatShape, string>> = {
  round: 'Round',
  dFlat: 'D',
  doubleD: 'Double D',
  square: 'Square',
  hex: 'Hexagon',
  key: 'Key',
  spline: 'Spline',
};

export type SeatPlace = 'diameterMm' | 'acrossFlatsMm' | 'keyWidthMm';

/** What has to be measured of bore and shaft for each shape, with its name on both. */
export const SEAT_PLACES: Readonly<Record<SeatShape, readonly (readonly [SeatPlace, bore: string, shaft: string])[]>> = {
  round: [['diameterMm', 'Bore', 'Shaft']],
  dFlat: [
    ['diameterMm', 'Bore', 'Shaft'],
    ['acrossFlatsMm', 'Bore, flat to round', 'Shaft, flat to round'],
  ],
  doubleD: [
    ['diameterMm', 'Bore', 'Shaft'],
    ['acrossFlatsMm', 'Bore, flat to flat', 'Shaft, flat to flat'],
  ],
  square: [['acrossFlatsMm', 'Hole, flat to flat', 'Shaft, flat to flat']],
  hex: [['acrossFlatsMm', 'Hole, flat to flat', 'Shaft, flat to flat']],
  key: [
    ['diameterMm', 'Bore', 'Shaft'],
    ['keyWidthMm', 'Keyway', 'Key'],
  ],
  spline: [
    ['diameterMm', 'Bore, over all', 'Shaft, over all'],
    ['keyWidthMm', 'Space of the hub', 'Tooth of the shaft'],
  ],
};

export const SEAT_VERDICTS: Readonly<Record<BoreSeat['verdict'], string>> = {
  good: 'Sits well',
  watch: 'Watch it',
  replace: 'Worn out',
  measureMore: 'Measure more',
};
