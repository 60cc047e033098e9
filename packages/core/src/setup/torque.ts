import { z } from 'zod';
import { TORQUE_UNITS } from '../access/step.ts';
import { material, materialAt } from '../material/material.ts';
import { SHEAR_OF_YIELD } from '../material/materials.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

/** Units in which sheets give a torque: those of a wrench, and an old one. */
export const SHEET_TORQUE_UNITS = [...TORQUE_UNITS, 'kgf·m'] as const;
/** Exact by the international foot, pound and standard gravity (NIST SP 811, appendix B). */
const NEWTON_METRES: Readonly<Record<(typeof SHEET_TORQUE_UNITS)[number], number>> = {
  'N·m': 1,
  'ft·lb': 1.355_817_948_331_4,
  'in·lb': 0.112_984_829_027_617,
  'kgf·m': 9.806_65,
};

export const torqueInput = z.strictObject({
  value: positiveUpTo(1e6),
  unit: z.enum(SHEET_TORQUE_UNITS),
  /** What it screws into. */
  into: material.optional(),
  thread: z.strictObject({ majorMm: positiveUpTo(500), pitchMm: positiveUpTo(50), engagedMm: positiveUpTo(1000) }).optional(),
});
export const torqueOutput = z.object({
  newtonMetres: z.number(),
  footPounds: z.number(),
  inchPounds: z.number(),
  capNm: z.number().optional(),
  warnings: z.array(z.enum(['aboveCap'])),
});

/** Share of the cylinder on the major diameter that an internal thread shears through (Machinery's Handbook, rule for 60° threads). */
const SHEAR_AREA = 0.75;
/** Half of the shear strength is used, for the first turns carry most. */
const USED = 0.5;
/** Torque that makes a tension in a screw, over its diameter: dry to lightly oiled (rule of thumb, Shigley 8-8). */
const NUT_FACTOR = 0.2;

/**
 * A torque in the units of any sheet, and into what is soft a cap by the shear area of its thread, as a guide.
 * @example 10 ft·lb → 13.558 N·m
 */
export function torqueInUnits({ value, unit, into, thread }: z.infer<typeof torqueInput>): z.infer<typeof torqueOutput> {
  const newtonMetres = value * NEWTON_METRES[unit];
  const area = thread && SHEAR_AREA * Math.PI * thread.majorMm * Math.max(0, thread.engagedMm - thread.pitchMm / 2);
  const capNm =
    into !== undefined && thread && area
      ? (NUT_FACTOR * thread.majorMm * area * materialAt(into, 20).yieldMPa * SHEAR_OF_YIELD * USED) / 1000
      : undefined;
  return {
    newtonMetres,
    footPounds: newtonMetres / NEWTON_METRES['ft·lb'],
    inchPounds: newtonMetres / NEWTON_METRES['in·lb'],
    ...(capNm !== undefined && { capNm }),
    warnings: capNm !== undefined && newtonMetres > capNm ? ['aboveCap'] : [],
  };
}
