import type { AttributeName, PartAttributes, PlainType } from './schema.ts';

/**
 * What a part that is no gear is known by, in the order in which one lays the caliper on it: rolling bearings by
 * ISO 15 (d, D, B), lip seals by ISO 6194-1 (d1, D, b), parallel keys by ISO/R 773 (b, h, l), retaining rings by
 * the shaft they sit on and their thickness. A whole unit has none.
 */
export const PLAIN_DIMENSIONS = {
  bearing: ['boreDiameterMm', 'outsideDiameterMm', 'widthMm'],
  seal: ['shaftDiameterMm', 'outsideDiameterMm', 'widthMm'],
  axle: ['shaftDiameterMm', 'lengthMm'],
  pin: ['shaftDiameterMm', 'lengthMm'],
  key: ['keyWidthMm', 'heightMm', 'lengthMm'],
  spring: ['wireDiameterMm', 'outsideDiameterMm', 'lengthMm', 'coils'],
  clip: ['shaftDiameterMm', 'thicknessMm'],
  cable: ['lengthMm', 'outsideDiameterMm'],
  unit: [],
} as const satisfies Readonly<Record<PlainType, readonly PlainQuantity[]>>;

/** Whether a kind of part is no gear. */
export const isPlain = (type: string | undefined): type is PlainType => type !== undefined && type in PLAIN_DIMENSIONS;

/** The dimensions that a part of this kind is ordered and measured by; of a gear none, which has its card. */
export const dimensionsOf = ({ type }: PartAttributes): readonly PlainQuantity[] => (isPlain(type) ? PLAIN_DIMENSIONS[type] : []);

/** Every dimension of some part that is no gear. */
export const PLAIN_QUANTITIES = [
  'boreDiameterMm',
  'outsideDiameterMm',
  'shaftDiameterMm',
  'widthMm',
  'keyWidthMm',
  'heightMm',
  'lengthMm',
  'thicknessMm',
  'wireDiameterMm',
  'coils',
] as const satisfies readonly AttributeName[];
export type PlainQuantity = (typeof PLAIN_QUANTITIES)[number];
