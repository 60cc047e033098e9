/** Dimensions read off a sector that a worm drives: too few teeth for a caliper across, so its round is told by an arc. */
export const WORM_SECTOR_QUANTITIES = [
  'teeth',
  'arcDeg',
  'axialPitch',
  'toothHeightMm',
  'leadAngleDeg',
  'boreDiameterMm',
  'faceWidthMm',
  'tipWidthMm',
  'freshTipWidthMm',
] as const;
export type WormSectorQuantity = (typeof WORM_SECTOR_QUANTITIES)[number];
