import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { degrees, radians } from '../quantity/angle.ts';
import { lengthMm, sentence } from '../quantity/bounds.ts';

const play = z.number().min(0).max(1000);

export const backlashInput = z.strictObject({
  /** What the dial indicator shows from stop to stop. */
  readingMm: play,
  readAtRadiusMm: lengthMm,
  pitchRadiusMm: lengthMm,
  pressureAngleDeg: z.number().positive().lt(45).default(20),
  helixAngleDeg: z.number().gt(-60).lt(60).default(0),
  limits: z.strictObject({ minMm: play, maxMm: play, source: sentence }).optional(),
});
export const backlashOutput = z.object({
  circumferentialMm: z.number(),
  normalMm: z.number(),
  degrees: z.number(),
  verdict: z.enum(['tight', 'within', 'loose', 'noLimit']),
});

/**
 * Backlash read at some radius, with the other end held, brought to the pitch circle: j_t = reading · r / r_read, along the
 * normal j_t·cos αₙ·cos β, and as the turn of that gear. The limits are those of the circumferential backlash.
 *
 * Source: ISO 21771 / DIN 3960, backlash of a pair.
 * @example 0.4 mm read at 40 mm, pitch radius 20 → 0.2 mm at the pitch circle, 0.188 along the normal
 */
export function backlashAtPitch(input: z.infer<typeof backlashInput>): z.infer<typeof backlashOutput> {
  const { readingMm, readAtRadiusMm, pitchRadiusMm, pressureAngleDeg, helixAngleDeg, limits } = input;
  if (limits && limits.minMm > limits.maxMm) throw fail('contradiction', 'limits.minMm', { reason: 'rangeBackwards' });
  const circumferentialMm = (readingMm * pitchRadiusMm) / readAtRadiusMm;
  return {
    circumferentialMm,
    normalMm: circumferentialMm * Math.cos(radians(pressureAngleDeg)) * Math.cos(radians(helixAngleDeg)),
    degrees: degrees(readingMm / readAtRadiusMm),
    verdict: judged(circumferentialMm, limits),
  };
}

function judged(playMm: number, limits: { minMm: number; maxMm: number } | undefined) {
  if (!limits) return 'noLimit';
  if (playMm < limits.minMm) return 'tight';
  return playMm > limits.maxMm ? 'loose' : 'within';
}
