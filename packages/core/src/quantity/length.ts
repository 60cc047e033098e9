/** Units of length people read off their instruments. 1 inch = 25.4 mm exactly (ISO 31-1). */
export const LENGTH_UNITS = ['mm', 'inch', 'thou'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

export const MM_PER_INCH = 25.4;

/** Module in mm of a diametral pitch: m = 25.4 / DP (AGMA). */
export const moduleOfPitch = (diametralPitch: number): number => MM_PER_INCH / diametralPitch;
const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, inch: MM_PER_INCH, thou: MM_PER_INCH / 1000 };
const DECIMALS: Readonly<Record<LengthUnit, number>> = { mm: 2, inch: 4, thou: 1 };

/**
 * Reads what was typed on the pad: `18.05`, `18,05`, `11/16`, `1 3/8`.
 * Returns null where it is not one number (the screen words it).
 * @example parseReading('1 3/8') // 1.375
 */
export function parseReading(text: string): number | null {
  const tidy = text.trim().replace(',', '.');
  const fraction = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(tidy);
  if (fraction) {
    const below = Number(fraction[3]);
    return below === 0 ? null : Number(fraction[1] ?? 0) + Number(fraction[2]) / below;
  }
  return /^-?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : null;
}

/** A reading in its unit → mm. */
export const toMm = (value: number, unit: LengthUnit): number => value * MM_PER[unit];

/** mm → the unit, as a number. */
export const fromMm = (mm: number, unit: LengthUnit): number => mm / MM_PER[unit];

/**
 * mm → text with its unit, at the decimals an instrument of that unit shows.
 * @example formatLength(18.05, 'inch') // '0.7106 in'
 */
export function formatLength(mm: number, unit: LengthUnit = 'mm'): string {
  const label = unit === 'inch' ? 'in' : unit;
  return `${fromMm(mm, unit).toFixed(DECIMALS[unit])} ${label}`;
}
