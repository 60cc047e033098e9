/**
 * The dimensions that can be read off a gear, whatever its kind; each kind names its own of them. Lengths
 * mm, angles degrees, the rest counts. Apart from the kinds, so that who only checks an entry need not load
 * what works gears out.
 */
export const GEAR_QUANTITIES = [
  'teeth',
  'starts',
  'mateTeeth',
  'tipDiameterMm',
  'rootDiameterMm',
  'toothHeightMm',
  'axialPitch',
  'spanMm',
  /** Angle of a piece of the rim. */
  'arcDeg',
  'leadAngleDeg',
  'helixAngleDeg',
  'pressureAngleDeg',
  'centreDistanceMm',
  /** What so many turns move. */
  'travelMm',
  'boreDiameterMm',
  'faceWidthMm',
  /** Of a worm wheel: over its outermost edges, the hollow of its throat, and how far round the worm its teeth reach. */
  'outsideDiameterMm',
  'throatRadiusMm',
  'faceAngleDeg',
  /** How far apart the shafts of a pair pass each other. */
  'shaftOffsetMm',
  /** Over the tip of a tooth or a thread where it has worked, and where it never has. */
  'tipWidthMm',
  'freshTipWidthMm',
] as const;
export type GearQuantity = (typeof GEAR_QUANTITIES)[number];
