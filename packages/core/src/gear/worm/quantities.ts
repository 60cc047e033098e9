/** Dimensions read off a worm. */
export const WORM_QUANTITIES = [
  'tipDiameterMm',
  'rootDiameterMm',
  'axialPitch',
  'leadAngleDeg',
  'centreDistanceMm',
  'starts',
  'boreDiameterMm',
  'faceWidthMm',
] as const;

export type WormQuantity = (typeof WORM_QUANTITIES)[number];
