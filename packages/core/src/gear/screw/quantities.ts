/** Dimensions read off a moving screw: its pitch over several threads, what its nut travels, its starts. */
export const SCREW_QUANTITIES = ['starts', 'tipDiameterMm', 'axialPitch', 'travelMm', 'faceWidthMm'] as const;
export type ScrewQuantity = (typeof SCREW_QUANTITIES)[number];
