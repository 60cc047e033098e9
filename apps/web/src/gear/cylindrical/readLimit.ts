import { parseReading, toMm, type LengthUnit } from '@patient-badger/core';

/** A limit as typed, in mm with its source; or what is wrong with it. */
export function readLimit(typed: string, source: string, unit: LengthUnit): { thinningMm: number; source: string } | { wrong: string } {
  const value = parseReading(typed);
  const thinningMm = value === null ? NaN : toMm(value, unit);
  if (!(thinningMm > 0 && thinningMm <= 10)) return { wrong: 'Type one number, like 0.15.' };
  if (source.trim() === '') return { wrong: 'Say whose figure it is: a limit without a source is a guess.' };
  return { thinningMm, source: source.trim() };
}
