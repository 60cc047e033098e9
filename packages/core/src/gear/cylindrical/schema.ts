import { z } from 'zod';
import {
  MOST_DIAMETRAL_PITCH,
  MOST_MODULE_MM,
  MOST_READINGS,
  MOST_TEETH,
  countUpTo,
  lengthMm,
  positiveUpTo,
} from '../../quantity/bounds.ts';
import { measuredLength } from '../../quantity/measured.ts';

export const shared = {
  normalModuleMm: positiveUpTo(MOST_MODULE_MM).optional(),
  diametralPitch: positiveUpTo(MOST_DIAMETRAL_PITCH).optional(),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  helixAngleDeg: z.number().gt(-60).lt(60).default(0),
};

/** Readings of how thick the teeth are: spans over some of them, and measures over pins in two spaces. */
export const thicknessReadings = {
  spans: z
    .array(z.strictObject({ teeth: countUpTo(MOST_TEETH), spanMm: measuredLength }))
    .max(MOST_READINGS)
    .default([]),
  overPins: z
    .array(z.strictObject({ pinDiameterMm: lengthMm, overPinsMm: measuredLength }))
    .max(MOST_READINGS)
    .default([]),
};

export const cylindricalInput = z.strictObject({
  teeth: z.int().min(4).max(2000),
  ...shared,
  profileShift: z.number().min(-2).max(3).default(0),
  addendumCoefficient: z.number().positive().max(2).default(1),
  dedendumCoefficient: z.number().positive().max(3).default(1.25),
  toothThinningMm: z.number().min(0).max(300).default(0),
  spanTeeth: countUpTo(MOST_TEETH).optional(),
  pinDiameterMm: lengthMm.optional(),
  faceWidthMm: lengthMm.optional(),
});
export type CylindricalInput = z.infer<typeof cylindricalInput>;
