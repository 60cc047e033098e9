import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { MM_PER_INCH } from '../../quantity/length.ts';
import { lengthMm, positiveUpTo } from '../../quantity/bounds.ts';

export const screwInput = z.strictObject({
  pitchMm: positiveUpTo(1000).optional(),
  threadsPerInch: positiveUpTo(1000).optional(),
  starts: z.int().positive().max(12).default(1),
  travelMm: lengthMm.optional(),
});

export const screwOutput = z.object({
  pitchMm: z.number(),
  leadMm: z.number(),
  travelPerTurnMm: z.number(),
  turnsForTravel: z.number().optional(),
});

/**
 * A moving screw: lead = starts · pitch, and the turns that a travel takes. Lengths mm. Source: ISO 5408.
 * @throws CoreFailure where not exactly one of pitch and threads per inch is given
 * @example pitch 1.5, 2 starts, travel 90 → lead 3, 30 turns
 */
export function screwDimensions({ pitchMm, threadsPerInch, starts, travelMm }: z.output<typeof screwInput>): z.infer<typeof screwOutput> {
  if (pitchMm === undefined && threadsPerInch === undefined) throw fail('missing', 'pitchMm', { or: 'threadsPerInch' });
  if (pitchMm !== undefined && threadsPerInch !== undefined) throw fail('contradiction', 'threadsPerInch', { reason: 'pitchOrThreads' });
  const pitch = pitchMm ?? MM_PER_INCH / (threadsPerInch as number);
  const leadMm = pitch * starts;
  return { pitchMm: pitch, leadMm, travelPerTurnMm: leadMm, ...(travelMm !== undefined && { turnsForTravel: travelMm / leadMm }) };
}
