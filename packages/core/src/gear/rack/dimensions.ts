import { z } from 'zod';
import { moduleFrom } from '../moduleFrom.ts';
import { MOST_DIAMETRAL_PITCH, MOST_MODULE_MM, positiveUpTo } from '../../quantity/bounds.ts';

export const rackInput = z.strictObject({
  teeth: z.int().positive().max(10_000),
  normalModuleMm: positiveUpTo(MOST_MODULE_MM).optional(),
  diametralPitch: positiveUpTo(MOST_DIAMETRAL_PITCH).optional(),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  pinionTeeth: z.int().min(4).max(2000).optional(),
});

export const rackOutput = z.object({
  pitchMm: z.number(),
  lengthMm: z.number(),
  addendumMm: z.number(),
  toothHeightMm: z.number(),
  toothThicknessMm: z.number(),
  travelPerPinionTurnMm: z.number().optional(),
});

/**
 * A straight rack with the basic profile. Lengths mm; the tooth height is 2.25 modules, the thickness
 * half a pitch. Source: ISO 53:1998.
 * @throws CoreFailure where neither module nor diametral pitch is given
 * @example 20 teeth of module 2 → pitch 6.283, length 125.66, tooth height 4.5
 */
export function rackDimensions(input: z.output<typeof rackInput>): z.infer<typeof rackOutput> {
  const m = moduleFrom(input);
  const pitchMm = Math.PI * m;
  return {
    pitchMm,
    lengthMm: pitchMm * input.teeth,
    addendumMm: m,
    toothHeightMm: 2.25 * m,
    toothThicknessMm: pitchMm / 2,
    ...(input.pinionTeeth !== undefined && { travelPerPinionTurnMm: pitchMm * input.pinionTeeth }),
  };
}
