/** Dimensions read off a worm wheel in its throat. */
export const WORM_WHEEL_QUANTITIES = ['teeth', 'tipDiameterMm', 'toothHeightMm', 'boreDiameterMm', 'faceWidthMm'] as const;
export type WormWheelQuantity = (typeof WORM_WHEEL_QUANTITIES)[number];
