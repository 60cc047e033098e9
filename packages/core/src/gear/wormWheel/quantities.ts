/** Dimensions read off a worm wheel: in its throat, over its outermost edges, and the throat itself. */
export const WORM_WHEEL_QUANTITIES = [
  'teeth',
  'tipDiameterMm',
  'toothHeightMm',
  'outsideDiameterMm',
  'throatRadiusMm',
  'faceAngleDeg',
  'boreDiameterMm',
  'faceWidthMm',
] as const;
export type WormWheelQuantity = (typeof WORM_WHEEL_QUANTITIES)[number];
