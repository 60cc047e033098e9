/** Nominal sizes in steps of ISO 286-1:2010, table 1: above the one before, up to and including this, mm. */
export const STEPS_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;

/** Standard tolerances in µm by grade and step (ISO 286-1:2010, table 1). */
export const TOLERANCES: Readonly<Record<number, readonly number[]>> = {
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20, 23, 25, 27],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29, 32, 36, 40],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46, 52, 57, 63],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72, 81, 89, 97],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115, 130, 140, 155],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160, 185, 210, 230, 250],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250, 290, 320, 360, 400],
};

/** The grade finer than those offered: what holes of grade 5 are moved by is counted from it. */
const GRADE_4 = [3, 4, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20];

/** Upper deviation of shafts that run free, µm below nought (ISO 286-1:2010, table 4). */
const FREE: Readonly<Record<string, readonly number[]>> = {
  d: [20, 30, 40, 50, 65, 80, 100, 120, 145, 170, 190, 210, 230],
  e: [14, 20, 25, 32, 40, 50, 60, 72, 85, 100, 110, 125, 135],
  f: [6, 10, 13, 16, 20, 25, 30, 36, 43, 50, 56, 62, 68],
  g: [2, 4, 5, 6, 7, 9, 10, 12, 14, 15, 17, 18, 20],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
};

/** Lower deviation of shafts that sit tight, µm above nought (ISO 286-1:2010, table 5; k for the grades 4 to 7). */
const TIGHT: Readonly<Record<string, readonly number[]>> = {
  k: [0, 1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5],
  m: [2, 4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23],
  n: [4, 8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68],
};

/** r and s have finer steps above 50 mm. */
const FINE_STEPS_MM = [3, 6, 10, 18, 30, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500] as const;
const PRESSED: Readonly<Record<string, readonly number[]>> = {
  r: [10, 15, 19, 23, 28, 34, 41, 43, 51, 54, 63, 65, 68, 77, 80, 84, 94, 98, 108, 114, 126, 132],
  s: [14, 19, 23, 28, 35, 43, 53, 59, 71, 79, 92, 100, 108, 122, 130, 140, 158, 170, 190, 208, 232, 252],
};

export const LETTERS = ['d', 'e', 'f', 'g', 'h', 'js', 'k', 'm', 'n', 'p', 'r', 's'] as const;
export type Letter = (typeof LETTERS)[number];

/** Lower and upper deviation from the nominal size, mm. */
export interface Limits {
  readonly lowerMm: number;
  readonly upperMm: number;
}

const stepOf = (nominalMm: number, steps: readonly number[]) => steps.findIndex((most) => nominalMm <= most);

/** Tolerance of a grade at a size, µm; undefined where there is none. */
const tolerance = (nominalMm: number, grade: number): number | undefined => TOLERANCES[grade]?.[stepOf(nominalMm, STEPS_MM)];

/** Limits of a shaft, such as k6; null beyond 500 mm or for a grade that is not listed. */
export function shaftLimits(nominalMm: number, letter: Letter, grade: number): Limits | null {
  const width = tolerance(nominalMm, grade);
  if (width === undefined) return null;
  if (letter === 'js') return { lowerMm: -width / 2000, upperMm: width / 2000 };
  const free = FREE[letter]?.[stepOf(nominalMm, STEPS_MM)];
  if (free !== undefined) return { lowerMm: -(free + width) / 1000, upperMm: -free / 1000 };
  const tight = tightDeviation(nominalMm, letter, grade);
  return tight === undefined ? null : { lowerMm: tight / 1000, upperMm: (tight + width) / 1000 };
}

/**
 * Limits of a hole, such as H7: the shaft of the same letter turned over, and for K to N up to grade 8 and
 * P to S up to grade 7 moved by Δ, what the grade is wider than the next finer one (ISO 286-1:2010, 4.3.2.5
 * and tables 2 and 3). Null also for K above grade 8, which the standard has only up to 3 mm.
 */
export function holeLimits(nominalMm: number, letter: Letter, grade: number): Limits | null {
  const width = tolerance(nominalMm, grade);
  if (width === undefined) return null;
  if (letter === 'js') return { lowerMm: -width / 2000, upperMm: width / 2000 };
  const free = FREE[letter]?.[stepOf(nominalMm, STEPS_MM)];
  if (free !== undefined) return { lowerMm: free / 1000, upperMm: (free + width) / 1000 };
  const upper = upperOfTightHole(nominalMm, letter, grade);
  return upper === null ? null : { lowerMm: (upper - width) / 1000, upperMm: upper / 1000 };
}

function upperOfTightHole(nominalMm: number, letter: Letter, grade: number): number | null {
  // A hole K of grade 8 is still turned over from the k of the finer grades.
  const tight = tightDeviation(nominalMm, letter, letter === 'k' ? Math.min(grade, 7) : grade);
  if (tight === undefined) return null;
  if (nominalMm <= 3) return -tight;
  const coarse = grade > 8;
  if (letter === 'k' && coarse) return null;
  // Keyways use it: N9 has its upper limit at nought.
  if (letter === 'n' && coarse) return 0;
  // The one figure of the table that its own rule does not give.
  if (letter === 'm' && grade === 6 && nominalMm > 250 && nominalMm <= 315) return -9;
  const moved = grade <= (['k', 'm', 'n'].includes(letter) ? 8 : 7);
  const width = tolerance(nominalMm, grade) ?? NaN;
  const finer = grade === 5 ? GRADE_4[stepOf(nominalMm, STEPS_MM)] : tolerance(nominalMm, grade - 1);
  return -tight + (moved ? width - (finer ?? width) : 0);
}

function tightDeviation(nominalMm: number, letter: Letter, grade: number): number | undefined {
  // Above grade 7 the letter k starts at nought.
  if (letter === 'k' && grade > 7) return 0;
  return TIGHT[letter]?.[stepOf(nominalMm, STEPS_MM)] ?? PRESSED[letter]?.[stepOf(nominalMm, FINE_STEPS_MM)];
}
