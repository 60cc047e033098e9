/** Dimensions read off a straight bevel at its large end. */
export const BEVEL_QUANTITIES = ['teeth', 'mateTeeth', 'tipDiameterMm', 'toothHeightMm', 'boreDiameterMm', 'faceWidthMm'] as const;
export type BevelQuantity = (typeof BEVEL_QUANTITIES)[number];
