import type { PartAttributes } from '@patient-badger/core/parts';
import type { SpurOffer } from './spurParts.ts';

/** Deep-groove ball bearings of the sizes that small machines have: bore, outside diameter, width in mm (ISO 15). */
const BEARINGS = [
  [8, 22, 7],
  [10, 26, 8],
  [10, 30, 9],
  [12, 28, 8],
  [12, 32, 10],
  [15, 32, 9],
  [15, 35, 11],
  [17, 35, 10],
  [17, 40, 12],
  [17, 47, 14],
  [20, 42, 12],
  [20, 47, 14],
  [25, 47, 12],
  [25, 52, 15],
] as const;
/** Lip seals: shaft, outside diameter, width in mm (ISO 6194-1). */
const SEALS = [
  [12, 22, 7],
  [15, 26, 7],
  [16, 30, 7],
  [16, 35, 7],
  [20, 30, 7],
  [20, 35, 7],
  [20, 40, 7],
  [25, 35, 7],
  [25, 40, 7],
  [25, 47, 7],
] as const;
/** Parallel keys: width, height, length in mm (ISO/R 773). */
const KEYS = [
  [3, 3, 10],
  [4, 4, 14],
  [5, 5, 20],
  [6, 6, 25],
  [8, 7, 32],
] as const;
/** Parallel pins: diameter and length in mm (ISO 2338). */
const PINS = [
  [3, 16],
  [4, 20],
  [5, 24],
  [6, 30],
  [6, 40],
  [8, 40],
] as const;
/** Retaining rings for shafts: shaft and thickness in mm (shafts of 12, 15, 17, 20 and 25). */
const CLIPS = [
  [12, 1],
  [15, 1],
  [17, 1],
  [20, 1.2],
  [25, 1.2],
] as const;

const listed = (name: string, attributes: PartAttributes): SpurOffer => ({ name, attributes, claims: [] });

/** What lies in every drawer besides gears. */
export const plainParts = (): readonly SpurOffer[] => [
  ...BEARINGS.map(([d, D, B]) =>
    listed(`Ball bearing ${d} × ${D} × ${B}`, { type: 'bearing', boreDiameterMm: d, outsideDiameterMm: D, widthMm: B }),
  ),
  ...SEALS.map(([d, D, b]) =>
    listed(`Lip seal ${d} × ${D} × ${b}`, { type: 'seal', shaftDiameterMm: d, outsideDiameterMm: D, widthMm: b }),
  ),
  ...KEYS.map(([b, h, l]) => listed(`Parallel key ${b} × ${h} × ${l}`, { type: 'key', keyWidthMm: b, heightMm: h, lengthMm: l })),
  ...PINS.map(([d, l]) => listed(`Parallel pin ${d} × ${l}`, { type: 'pin', shaftDiameterMm: d, lengthMm: l })),
  ...CLIPS.map(([d, s]) => listed(`Retaining ring for ${d}`, { type: 'clip', shaftDiameterMm: d, thicknessMm: s })),
];
