import { fail } from '../failure/CoreFailure.ts';
import { MM_PER_INCH } from '../quantity/length.ts';

export const TYRE_SERIES = [
  'metric',
  'highFlotation',
  'oldInch',
  'alphanumeric',
  'motorcycleLetter',
  'bicycle',
  'twoWidths',
  'inchNominal',
] as const;
export type TyreSeries = (typeof TYRE_SERIES)[number];

/** Whether the diameter follows from what is printed, is the trade's for a name, or is only what the size is called. */
export const TYRE_BASES = ['sum', 'table', 'nominal'] as const;
export type TyreBasis = (typeof TYRE_BASES)[number];

export interface TyreSize {
  readonly series: TyreSeries;
  readonly basis: TyreBasis;
  readonly diameterMm: number;
  readonly widthMm: number;
  readonly rimMm: number;
  /** How far makers' tyres of this size spread about the sum, as a share. */
  readonly sdShare: number;
}

/**
 * Section width in mm and height over width of the letter series, by the metric sizes the trade puts in
 * their place (conversion charts of load-equivalent sizes; a rule, not a standard): 78 → 75, 70, 60.
 */
const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H', 'J', 'L', 'N'] as const;
const LETTER_WIDTHS: Readonly<Record<number, readonly number[]>> = {
  78: [165, 175, 185, 185, 195, 205, 215, 225, 225, 235, 245],
  70: [175, 185, 195, 195, 205, 215, 225, 235, 245, 255, 265],
  60: [195, 205, 215, 215, 225, 235, 245, 255, 265, 265, 275],
};
const LETTER_HEIGHTS: Readonly<Record<number, number>> = { 78: 0.75, 70: 0.7, 60: 0.6 };

/** Motorcycle tyres by letters, width in mm by the metric sizes that took their place (conversion charts of the trade). */
const MOTORCYCLE_WIDTHS: Readonly<Record<string, number>> = {
  MH: 80,
  MJ: 90,
  MM: 100,
  MN: 110,
  MR: 120,
  MT: 130,
  MU: 140,
  MV: 150,
};

/** Small pneumatic wheels with two widths, 4.10/3.50-4: the section is as high as this share of the second (makers' sheets). */
const TWO_WIDTHS_HEIGHT = 0.93;
/** No wheel with a tyre has a smaller rim: three inches. */
const LEAST_RIM_MM = 3 * MM_PER_INCH;
/** The seat of the bead on a rim that is called 700C (ISO 5775-1). */
const RIM_700C_MM = 622;

/**
 * Height over width of old inch tyres, which was never written on them: about as high as wide at first; a little
 * lower on the cars' rims of 13 to 15 inches; and the series that the letters then took the place of, size by
 * size (7.75-14 became F78-14), lower still. After the trade's conversion charts; a rule, not a standard.
 */
const OLD_INCH_HEIGHT = { first: 1, lowered: 0.94, beforeLetters: 0.79 } as const;
const BEFORE_LETTERS = new Set([6.15, 6.45, 6.85, 6.95, 7.35, 7.75, 8.15, 8.25, 8.45, 8.55, 8.85, 9.15]);

function oldInchHeight(widthInch: number, rimInch: number): number {
  if (rimInch < 13 || rimInch > 15) return OLD_INCH_HEIGHT.first;
  return BEFORE_LETTERS.has(widthInch) ? OLD_INCH_HEIGHT.beforeLetters : OLD_INCH_HEIGHT.lowered;
}

/**
 * A tyre's free size from what is printed on it: metric `185/65R14` (ISO 4000-1), `90/90-18` (ISO 5751) and `145/70-6`,
 * high-flotation `31x10.5R15`, old inch `6.00-16`, letter series `G78-14` and `MT90-16`, bicycles' `37-622` (ISO 5775-1) and
 * `26x2.1`, small wheels' `4.10/3.50-4`. Case, blanks, prefixes (P, LT, ST, T) and what follows the rim make no difference.
 * Lengths mm.
 * @throws CoreFailure where it is none of these
 * @example parseTyre('185/65R14') // 596.1 mm across
 */
export function parseTyre(text: string): TyreSize {
  const plain = withoutBlanks(text.trim().toUpperCase().replaceAll('×', 'X').replaceAll(',', '.'));
  const size = NOTATIONS.reduce<TyreSize | null>((found, notation) => found ?? notation(plain), null);
  if (!size || !(size.diameterMm > 150 && size.diameterMm < 2500) || size.rimMm < LEAST_RIM_MM) {
    throw fail('invalid', 'size', {
      reason: 'noTyreSize',
      given: text,
    });
  }
  return size;
}

/** Blanks within the size are dropped; the one before a load index, which is no part of the rim, is kept. */
const withoutBlanks = (text: string): string =>
  text
    .replace(/\s*([X/-])\s*/g, '$1')
    .replace(/^(P|LT|ST|T|[A-N])\s+/, '$1')
    .replace(/\s+(?=[A-Z]{0,2}R\s*\d)/, '')
    .replace(/R\s+(?=\d)/, 'R');

function metric(text: string): TyreSize | null {
  const [, width, height = '82', rim] =
    /^(?:P|LT|ST|T)?(\d{3}|\d{2}(?=\/))(?:\/(\d{2,3}))?(?:[A-Z]{0,2}R|-|[BD])(\d{1,2}(?:\.\d)?)(?![\d.])/.exec(text) ?? [];
  // Three figures above 400 are an old inch width without its point: 600-16.
  if (!width || !rim || Number(width) > 400) return null;
  // Where no height is printed it is 82 of 100, as on the first radials (ETRTO).
  return sized('metric', Number(width), Number(height) / 100, Number(rim), height === '82' ? 0.015 : 0.01);
}

function highFlotation(text: string): TyreSize | null {
  const [, across, width, rim] =
    /^(?:P|LT|ST|T)?(\d{2}(?:\.\d+)?)X(\d{1,2}(?:\.\d+)?)(?:R|-|LT|D|B)+(\d{1,2}(?:\.\d)?)(?!\d)/.exec(text) ?? [];
  // A rim as large as the tyre leaves no tyre.
  if (!across || !width || !rim || Number(rim) >= Number(across)) return null;
  return {
    series: 'highFlotation',
    basis: 'sum',
    diameterMm: Number(across) * MM_PER_INCH,
    widthMm: Number(width) * MM_PER_INCH,
    rimMm: Number(rim) * MM_PER_INCH,
    sdShare: 0.015,
  };
}

function letterSeries(text: string): TyreSize | null {
  const [, letter, height, rim] = /^([A-N])R?(78|70|60)[-R]?(\d{2})(?!\d)/.exec(text) ?? [];
  const width = LETTER_WIDTHS[Number(height)]?.[LETTERS.indexOf(letter as (typeof LETTERS)[number])];
  if (width === undefined) return null;
  return sized('alphanumeric', width, LETTER_HEIGHTS[Number(height)] as number, Number(rim), 0.02);
}

function motorcycleLetters(text: string): TyreSize | null {
  const [, letters = '', height, rim] = /^(M[HJMNRTUV])(\d{2})-?(?:B|R)?-?(\d{2})(?!\d)/.exec(text) ?? [];
  const width = MOTORCYCLE_WIDTHS[letters];
  return width === undefined ? null : sized('motorcycleLetter', width, Number(height) / 100, Number(rim), 0.015);
}

/** Section width and bead seat in mm, 37-622; or the same rim by its old name, 700x35C. */
function bicycle(text: string): TyreSize | null {
  const [, width, rim] = /^(\d{2})-(\d{3})(?!\d)/.exec(text) ?? [];
  const [, named] = /^700X(\d{2})(?:C|(?![\d.]))/.exec(text) ?? [];
  const [widthMm, rimMm] = width ? [Number(width), Number(rim)] : [Number(named), RIM_700C_MM];
  if (!(widthMm > 0) || rimMm < 100) return null;
  return { series: 'bicycle', basis: 'sum', widthMm, rimMm, diameterMm: rimMm + 2 * widthMm, sdShare: 0.015 };
}

function twoWidths(text: string): TyreSize | null {
  const [, width, height, rim] = /^(\d{1,2}\.\d{1,2})\/(\d{1,2}\.\d{1,2})-(\d{1,2})(?![\d.])/.exec(text) ?? [];
  if (!width || !height || !rim) return null;
  const size = sized('twoWidths', Number(height) * MM_PER_INCH, TWO_WIDTHS_HEIGHT, Number(rim), 0.03);
  return { ...size, basis: 'nominal', widthMm: Number(width) * MM_PER_INCH };
}

/** Called by about how large it is, 26x2.1: what it sits on is another matter, and the sum of neither. */
function inchNominal(text: string): TyreSize | null {
  const [, across, width] = /^(\d{2}(?:\.\d{1,2})?)X(\d(?:\.\d{1,3})?)(?![\d.X-])/.exec(text) ?? [];
  if (!across || !width) return null;
  const [diameterMm, widthMm] = [Number(across) * MM_PER_INCH, Number(width) * MM_PER_INCH];
  return { series: 'inchNominal', basis: 'nominal', diameterMm, widthMm, rimMm: diameterMm - 2 * widthMm, sdShare: 0.03 };
}

function oldInch(text: string): TyreSize | null {
  const [, width, rim] = /^(\d{1,2}(?:\.\d{1,2})?|[4-9]\d{2})(?:-|R)(\d{1,2}(?:\.\d)?)(?!\d)/.exec(text) ?? [];
  if (!width || !rim) return null;
  const inches = Number(width) > 40 ? Number(width) / 100 : Number(width);
  return sized('oldInch', inches * MM_PER_INCH, oldInchHeight(inches, Number(rim)), Number(rim), 0.03);
}

/** Series whose height is the trade's for the name, and not printed. */
const BY_TABLE: ReadonlySet<TyreSeries> = new Set(['oldInch', 'alphanumeric', 'motorcycleLetter']);

const sized = (series: TyreSeries, widthMm: number, height: number, rimInch: number, sdShare: number): TyreSize => ({
  series,
  basis: BY_TABLE.has(series) ? 'table' : 'sum',
  widthMm,
  rimMm: rimInch * MM_PER_INCH,
  diameterMm: rimInch * MM_PER_INCH + 2 * widthMm * height,
  sdShare,
});

/** As a person reads a sidewall: the plainest first, and what is only a name last. */
const NOTATIONS = [metric, twoWidths, bicycle, highFlotation, motorcycleLetters, letterSeries, oldInch, inchNominal];
