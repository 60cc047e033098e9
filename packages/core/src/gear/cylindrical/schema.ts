import { z } from 'zod';
export const shared = {
  normalModuleMm: z.number().positive().optional(),
  diametralPitch: z.number().positive().optional(),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  helixAngleDeg: z.number().gt(-60).lt(60).default(0),
};

export const cylindricalInput = z.strictObject({
  teeth: z.int().min(4).max(2000),
  ...shared,
  profileShift: z.number().min(-2).max(3).default(0),
  addendumCoefficient: z.number().positive().max(2).default(1),
  dedendumCoefficient: z.number().positive().max(3).default(1.25),
  toothThinningMm: z.number().min(0).default(0),
  spanTeeth: z.int().positive().optional(),
  pinDiameterMm: z.number().positive().optional(),
  faceWidthMm: z.number().positive().optional(),
});
export type CylindricalInput = z.infer<typeof cylindricalInput>;
