import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt } from '../material/material.ts';
import { SHEAR_OF_YIELD } from '../material/materials.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { NEWTON_METRES, SHEET_TORQUE_UNITS } from '../quantity/torqueUnits.ts';

/** Yield of the usual strength classes of screws, MPa: up to 16 mm, and above (ISO 898-1:2013, table 3, R_eL or R_pf, R_p0.2 minimum). */
const CLASS_YIELD_MPA = {
  '4.6': [240, 240],
  '4.8': [340, 340],
  '5.6': [300, 300],
  '5.8': [420, 420],
  '6.8': [480, 480],
  '8.8': [640, 660],
  '9.8': [720, 720],
  '10.9': [940, 940],
  '12.9': [1100, 1100],
} as const;
const LARGE_MM = 16;
type StrengthClass = keyof typeof CLASS_YIELD_MPA;
export const STRENGTH_CLASSES = Object.keys(CLASS_YIELD_MPA) as [StrengthClass, ...StrengthClass[]];

export const torqueInput = z.strictObject({
  value: positiveUpTo(1e6),
  unit: z.enum(SHEET_TORQUE_UNITS),
  /** What it screws into. */
  into: material.optional(),
  thread: z.strictObject({ majorMm: positiveUpTo(500), pitchMm: positiveUpTo(50), engagedMm: positiveUpTo(1000) }).optional(),
  /** The screw itself, by the class on its head or its yield. Without it only what it screws into caps. */
  screw: z.union([z.strictObject({ strengthClass: z.enum(STRENGTH_CLASSES) }), z.strictObject({ yieldMPa: positiveUpTo(1e4) })]).optional(),
});
export const torqueOutput = z.object({
  newtonMetres: z.number(),
  footPounds: z.number(),
  inchPounds: z.number(),
  /** The lesser of the two below, of those that are known. */
  capNm: z.number().optional(),
  threadCapNm: z.number().optional(),
  screwCapNm: z.number().optional(),
  warnings: z.array(z.enum(['aboveCap'])),
});

/** Share of the cylinder on the major diameter that an internal thread shears through (Machinery's Handbook, rule for 60° threads). */
const SHEAR_AREA = 0.75;
/** Half of the shear strength is used, for the first turns carry most. */
const USED = 0.5;
/** Torque that makes a tension in a screw, over its diameter: dry to lightly oiled (rule of thumb, Shigley 8-8). */
const NUT_FACTOR = 0.2;
/** Share of its yield to which a screw that is used again is tightened (Shigley 8-9). */
const TIGHTENED = 0.75;

/**
 * A torque in the units of any sheet, and as a guide a cap: into what is soft by the shear area of its thread, and by the
 * screw's own yield over its stress area A_s = π/4·(d − 0.9382·P)² (ISO 898-1).
 * @throws CoreFailure where half a pitch or less of the thread is engaged, which holds nothing
 * @example 10 ft·lb → 13.558 N·m
 */
export function torqueInUnits({ value, unit, into, thread, screw }: z.infer<typeof torqueInput>): z.infer<typeof torqueOutput> {
  const newtonMetres = value * NEWTON_METRES[unit];
  if (thread && thread.engagedMm <= thread.pitchMm / 2)
    throw fail('impossibleGeometry', 'thread.engagedMm', { reason: 'threadBarelyEngaged', leastMm: thread.pitchMm / 2 });
  const threadCapNm = thread && into !== undefined ? threadCapOf(thread, materialAt(into, 20).yieldMPa) : undefined;
  const screwCapNm = thread && screw ? screwCapOf(thread, yieldOf(screw, thread.majorMm)) : undefined;
  const capNm = Math.min(threadCapNm ?? Infinity, screwCapNm ?? Infinity);
  return {
    newtonMetres,
    footPounds: newtonMetres / NEWTON_METRES['ft·lb'],
    inchPounds: newtonMetres / NEWTON_METRES['in·lb'],
    ...(Number.isFinite(capNm) && { capNm }),
    ...(threadCapNm !== undefined && { threadCapNm }),
    ...(screwCapNm !== undefined && { screwCapNm }),
    warnings: newtonMetres > capNm ? ['aboveCap'] : [],
  };
}

type Thread = NonNullable<z.infer<typeof torqueInput>['thread']>;

const threadCapOf = ({ majorMm, pitchMm, engagedMm }: Thread, yieldMPa: number): number =>
  (NUT_FACTOR * majorMm * SHEAR_AREA * Math.PI * majorMm * (engagedMm - pitchMm / 2) * yieldMPa * SHEAR_OF_YIELD * USED) / 1000;

/** A thread so coarse that no core is left has no cap that means anything: it holds nothing. */
const screwCapOf = ({ majorMm, pitchMm }: Thread, yieldMPa: number): number => {
  const core = Math.max(0, majorMm - 0.9382 * pitchMm);
  return (NUT_FACTOR * majorMm * (Math.PI / 4) * core ** 2 * yieldMPa * TIGHTENED) / 1000;
};

function yieldOf(screw: NonNullable<z.infer<typeof torqueInput>['screw']>, majorMm: number): number {
  if ('yieldMPa' in screw) return screw.yieldMPa;
  const [small, large] = CLASS_YIELD_MPA[screw.strengthClass];
  return majorMm > LARGE_MM ? large : small;
}
