/** Dimensions read off a straight bevel at its large end, and whether the shafts of the pair meet. */
export const BEVEL_QUANTITIES = [
  'teeth',
  'mateTeeth',
  'tipDiameterMm',
  'toothHeightMm',
  'shaftOffsetMm',
  'boreDiameterMm',
  'faceWidthMm',
] as const;
export type BevelQuantity = (typeof BEVEL_QUANTITIES)[number];
