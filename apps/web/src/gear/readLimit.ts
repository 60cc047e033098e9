import { t } from '@patient-badger/wording/gear';
import { parseReading, toMm, type LengthUnit } from '@patient-badger/core';

/** A limit as typed, in mm with its source; or what is wrong with it. */
export function readLimit(typed: string, source: string, unit: LengthUnit): { thinningMm: number; source: string } | { wrong: string } {
  const value = parseReading(typed);
  const thinningMm = value === null ? NaN : toMm(value, unit);
  if (!(thinningMm > 0 && thinningMm <= 10)) return { wrong: t.typeOneNumberLike0 };
  if (source.trim() === '') return { wrong: t.sayWhoseFigureItIs };
  return { thinningMm, source: source.trim() };
}
