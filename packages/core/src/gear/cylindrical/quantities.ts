/** Dimensions read off a spur or helical gear; the arc is that of a piece of the rim. */
export const CYLINDRICAL_QUANTITIES = [
  'teeth',
  'arcDeg',
  'tipDiameterMm',
  'rootDiameterMm',
  'spanMm',
  'helixAngleDeg',
  'centreDistanceMm',
  'boreDiameterMm',
  'faceWidthMm',
] as const;

export type CylindricalQuantity = (typeof CYLINDRICAL_QUANTITIES)[number];
