/** Dimensions read off a moving screw: its pitch over several threads, what its nut travels, its starts, how far its flanks lean. */
export const SCREW_QUANTITIES = [
  'starts',
  'tipDiameterMm',
  'axialPitch',
  'travelMm',
  'pressureAngleDeg',
  'faceWidthMm',
  'tipWidthMm',
  'freshTipWidthMm',
] as const;
export type ScrewQuantity = (typeof SCREW_QUANTITIES)[number];
