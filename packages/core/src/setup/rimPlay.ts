import { z } from 'zod';
import { positiveUpTo } from '../quantity/bounds.ts';

const TURN_DEG = 360;

export const rimPlayInput = z.strictObject({
  /** Free movement at the rim, with everything hung on; mm along the rim. */
  playMm: z.number().min(0).max(2000),
  rimRadiusMm: positiveUpTo(2000),
  /** Turns of the wheel for one of the output. */
  ratio: positiveUpTo(1000).default(1),
  /** The same at the output gear alone, links off or the arm held: along its pitch circle, and that circle's radius. */
  mesh: z.strictObject({ backlashMm: z.number().min(0).max(100), pitchRadiusMm: positiveUpTo(5000) }).optional(),
  /** What the rim may show, and whose figure that is. */
  limit: z.strictObject({ maxMm: positiveUpTo(2000), source: z.string().min(1).max(2000) }).optional(),
});
export const rimPlayOutput = z.object({
  wheelDeg: z.number(),
  outputDeg: z.number(),
  /** What of it the mesh alone makes at the rim, and what is left for joints, keys and bearings. */
  mesh: z.object({ rimMm: z.number(), outputDeg: z.number(), sharePercent: z.number() }).nullable(),
  jointsMm: z.number().nullable(),
  verdict: z.enum(['within', 'loose', 'noLimit']),
});

/**
 * Play at a steering wheel's rim through the reduction: how far the wheel and the output turn, what of it belongs to the mesh and what to
 * the joints. Small angles: an arc over its radius.
 * @example 20 mm at a rim of 180 mm, 10:1, a mesh of 0.2 mm at 40 mm → 9 mm of it is the mesh's, 11 mm the joints'
 */
export function rimPlay({ playMm, rimRadiusMm, ratio, mesh, limit }: z.infer<typeof rimPlayInput>): z.infer<typeof rimPlayOutput> {
  const wheelDeg = (playMm / (2 * Math.PI * rimRadiusMm)) * TURN_DEG;
  const meshDeg = mesh && (mesh.backlashMm / (2 * Math.PI * mesh.pitchRadiusMm)) * TURN_DEG;
  const meshMm = mesh && (mesh.backlashMm / mesh.pitchRadiusMm) * ratio * rimRadiusMm;
  return {
    wheelDeg,
    outputDeg: wheelDeg / ratio,
    mesh:
      meshMm === undefined || meshDeg === undefined
        ? null
        : { rimMm: meshMm, outputDeg: meshDeg, sharePercent: playMm > 0 ? Math.min(100, (meshMm / playMm) * 100) : 0 },
    jointsMm: meshMm === undefined ? null : Math.max(0, playMm - meshMm),
    verdict: judged(playMm, limit?.maxMm),
  };
}

function judged(playMm: number, maxMm: number | undefined) {
  if (maxMm === undefined) return 'noLimit';
  return playMm <= maxMm ? 'within' : 'loose';
}
