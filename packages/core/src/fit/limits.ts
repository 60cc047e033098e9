import { z } from 'zod';
import { positiveUpTo } from '../quantity/bounds.ts';
import { fail } from '../failure/CoreFailure.ts';
import { measuredLength } from '../quantity/measured.ts';
import { holeLimits, LETTERS, shaftLimits, TOLERANCES, type Letter, type Limits } from './iso286.ts';

export const limitsInput = z.strictObject({
  nominalMm: positiveUpTo(500),
  /** Such as H7. */
  hole: z.string().max(6).optional(),
  /** Such as k6. */
  shaft: z.string().max(6).optional(),
  measured: z.strictObject({ boreMm: measuredLength.optional(), shaftMm: measuredLength.optional() }).default({}),
});

const FIT_KINDS = ['clearance', 'transition', 'interference'] as const;
const limits = z.object({ lowerMm: z.number(), upperMm: z.number(), leastMm: z.number(), mostMm: z.number() });

/** What a fit is for (after the preferred fits of ISO 286-1:2010, annex B). */
export const FIT_USES = [
  'looseRunning',
  'easyRunning',
  'running',
  'sliding',
  'locating',
  'tapped',
  'driven',
  'pressed',
  'pressedForGood',
] as const;
export type FitUse = (typeof FIT_USES)[number];

export const limitsOutput = z.object({
  hole: limits.optional(),
  shaft: limits.optional(),
  /** Of the fit as drawn; below nought is interference. */
  leastClearanceMm: z.number().optional(),
  mostClearanceMm: z.number().optional(),
  kind: z.enum(FIT_KINDS).optional(),
  measuredClearanceMm: z.object({ value: z.number(), plusMinus: z.number() }).optional(),
  /** Chance that the reading is within the limits drawn. */
  boreWithin: z.boolean().optional(),
  shaftWithin: z.boolean().optional(),
  /** What the measured pair is nearest to, on a hole basis. */
  nearest: z.object({ hole: z.string(), shaft: z.string(), kind: z.enum(FIT_KINDS), use: z.enum(FIT_USES) }).optional(),
});
export type FitLimits = z.infer<typeof limitsOutput>;

/** Fits a small shop meets, with what they are for (after the preferred fits of ISO 286-1:2010, annex B). */
const USUAL: readonly (readonly [hole: string, shaft: string, use: FitUse])[] = [
  ['H9', 'd9', 'looseRunning'],
  ['H8', 'e8', 'easyRunning'],
  ['H8', 'f7', 'running'],
  ['H7', 'g6', 'sliding'],
  ['H7', 'h6', 'locating'],
  ['H7', 'k6', 'tapped'],
  ['H7', 'n6', 'driven'],
  ['H7', 'p6', 'pressed'],
  ['H7', 's6', 'pressedForGood'],
];

/**
 * Limits of hole and shaft by ISO 286, the clearance of the fit, and where a measured pair lies. Lengths
 * mm, up to 500; grades 5 to 11, letters d to s. Measured clearances below nought are interference.
 * Source: ISO 286-1:2010.
 * @throws CoreFailure where a code is not known, or nothing is asked
 * @example 20, H7, k6 → hole +0 / +0.021, shaft +0.002 / +0.015, transition
 */
export function fitLimits({ nominalMm, hole, shaft, measured }: z.output<typeof limitsInput>): FitLimits {
  if (hole === undefined && shaft === undefined && (!measured.boreMm || !measured.shaftMm)) {
    throw fail('nothingGiven', 'hole', { reason: 'noHoleNoShaft' });
  }
  const h = hole === undefined ? undefined : sized(nominalMm, hole, 'hole');
  const s = shaft === undefined ? undefined : sized(nominalMm, shaft, 'shaft');
  const { boreMm, shaftMm } = measured;
  const clearance = boreMm &&
    shaftMm && { value: boreMm.value - shaftMm.value, plusMinus: Math.hypot(boreMm.plusMinus, shaftMm.plusMinus) };
  return {
    ...(h && { hole: h }),
    ...(s && { shaft: s }),
    ...(h && s && asFit(h, s)),
    ...(clearance && { measuredClearanceMm: clearance, nearest: nearestFit(nominalMm, clearance.value) }),
    ...(h && boreMm && { boreWithin: within(boreMm.value, h) }),
    ...(s && shaftMm && { shaftWithin: within(shaftMm.value, s) }),
  };
}

type LimitsInput = z.infer<typeof limits>;

function sized(nominalMm: number, code: string, field: 'hole' | 'shaft'): LimitsInput {
  const found = limitsOf(nominalMm, code, field);
  if (!found) {
    throw fail('invalid', field, {
      reason: 'noSuchTolerance',
      code,
      field,
      firstLetter: LETTERS[0],
      lastLetter: LETTERS.at(-1),
      firstGrade: Object.keys(TOLERANCES)[0],
      lastGrade: Object.keys(TOLERANCES).at(-1),
    });
  }
  return { ...found, leastMm: nominalMm + found.lowerMm, mostMm: nominalMm + found.upperMm };
}

/** Holes are written in capitals, shafts in small letters. */
function limitsOf(nominalMm: number, code: string, field: 'hole' | 'shaft'): Limits | null {
  const [, letters = '', grade = ''] = /^([A-Za-z]{1,2})(\d{1,2})$/.exec(code.trim()) ?? [];
  const letter = letters.toLowerCase() as Letter;
  const cased = field === 'hole' ? letters.toUpperCase() : letters.toLowerCase();
  if (letters !== cased || !LETTERS.includes(letter)) return null;
  return (field === 'hole' ? holeLimits : shaftLimits)(nominalMm, letter, Number(grade));
}

const within = (value: number, { leastMm, mostMm }: LimitsInput) => value >= leastMm - 1e-9 && value <= mostMm + 1e-9;

function asFit(hole: Limits, shaft: Limits) {
  const [leastClearanceMm, mostClearanceMm] = [hole.lowerMm - shaft.upperMm, hole.upperMm - shaft.lowerMm];
  return { leastClearanceMm, mostClearanceMm, kind: kindOf(leastClearanceMm, mostClearanceMm) };
}

function kindOf(least: number, most: number): (typeof FIT_KINDS)[number] {
  if (least >= -1e-9) return 'clearance';
  return most <= 1e-9 ? 'interference' : 'transition';
}

function nearestFit(nominalMm: number, clearanceMm: number) {
  const rated = USUAL.flatMap(([hole, shaft, use]) => {
    const [h, s] = [limitsOf(nominalMm, hole, 'hole'), limitsOf(nominalMm, shaft, 'shaft')];
    if (!h || !s) return [];
    const { leastClearanceMm: least, mostClearanceMm: most, kind } = asFit(h, s);
    return [{ hole, shaft, use, kind, off: Math.abs(clearanceMm - (least + most) / 2) }];
  });
  const best = rated.reduce((top, each) => (each.off < top.off ? each : top));
  const { off: _, ...fit } = best;
  return fit;
}
