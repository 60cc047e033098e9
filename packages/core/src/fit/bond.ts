import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { lengthMm, positiveUpTo, sentence } from '../quantity/bounds.ts';

export const gapRange = z.strictObject({ min: z.number().min(0).max(10), max: positiveUpTo(10), source: sentence.optional() });
export const GAPS = ['tooTight', 'good', 'tooWide', 'noSheet'] as const;

const joint = {
  diameterMm: lengthMm,
  lengthMm,
  gapMm: z.number().min(0).max(10),
  shearStrengthMPa: positiveUpTo(1000),
  /** What of the sheet's strength is counted on: age, dirt, an uneven gap (rule of thumb). */
  factor: positiveUpTo(1).default(0.5),
};
export const bondInput = z.strictObject({ ...joint, gapRangeMm: gapRange.optional() });
const held = { areaMm2: z.number(), forceN: z.number(), torqueNm: z.number(), gap: z.enum(GAPS) };
/** What it holds is null where the gap is none that the sheet's strength was measured at. */
export const bondOutput = z.object({ ...held, forceN: z.number().nullable(), torqueNm: z.number().nullable() });
export type Bond = z.infer<typeof bondOutput>;

/** How a gap on the diameter stands to what a sheet allows. */
export function judgeGap(gapMm: number, range: z.infer<typeof gapRange> | undefined, path: string): Bond['gap'] {
  if (!range) return 'noSheet';
  if (range.min > range.max) throw fail('contradiction', `${path}.min`, { reason: 'rangeBackwards' });
  if (gapMm < range.min) return 'tooTight';
  return gapMm > range.max ? 'tooWide' : 'good';
}

/**
 * A cylindrical joint held by a compound: area π·d·L, force along it, torque round it. Gap on the diameter, mm; MPa; N; N·m.
 * Strength of cylindrical bonded joints: shear over the whole area, with a factor (as in ISO 10123's pin and collar).
 * @example shaft 10, 12 long, 20 MPa, half counted → 377 mm², 3770 N, 18.85 N·m
 */
export function bond({ gapRangeMm, ...joint }: z.infer<typeof bondInput>): Bond {
  const gap = judgeGap(joint.gapMm, gapRangeMm, 'gapRangeMm');
  const sheared = shearedOff(joint);
  return gap === 'good' || gap === 'noSheet' ? { ...sheared, gap } : { ...sheared, forceN: null, torqueNm: null, gap };
}

function shearedOff({ diameterMm: d, lengthMm: length, shearStrengthMPa, factor }: Omit<z.infer<typeof bondInput>, 'gapRangeMm'>) {
  const areaMm2 = Math.PI * d * length;
  const forceN = areaMm2 * shearStrengthMPa * factor;
  return { areaMm2, forceN, torqueNm: (forceN * d) / 2000 };
}

export const solderInput = z.strictObject({
  ...joint,
  /** The gap that the filler creeps into, off its sheet. */
  fillerGapMm: gapRange.optional(),
  /** It can be had again. */
  replaceable: z.boolean().default(true),
});
export const solderOutput = z.object({ ...held, warnings: z.array(z.enum(['oneChance', 'gapNotForFiller'])) });

/** A crack or a loose hub soldered: the same area and torque, the filler's own gap, and a warning where there is one chance only. */
export function solder({ fillerGapMm, replaceable, ...rest }: z.infer<typeof solderInput>): z.infer<typeof solderOutput> {
  const gap = judgeGap(rest.gapMm, fillerGapMm, 'fillerGapMm');
  return {
    ...shearedOff(rest),
    gap,
    warnings: [
      ...(replaceable ? [] : (['oneChance'] as const)),
      ...(gap === 'tooTight' || gap === 'tooWide' ? (['gapNotForFiller'] as const) : []),
    ],
  };
}
