/** Dimensions read off a rack: its pitch over several teeth, the height of a tooth, the angle of a flank. */
export const RACK_QUANTITIES = [
  'teeth',
  'axialPitch',
  'toothHeightMm',
  'pressureAngleDeg',
  'faceWidthMm',
  'tipWidthMm',
  'freshTipWidthMm',
] as const;
export type RackQuantity = (typeof RACK_QUANTITIES)[number];
