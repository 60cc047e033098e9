import { figureUnit, formatLength } from '@patient-badger/core';
import { threeFigures } from '../wording/threeFigures.ts';
import { lengthUnit, torqueUnit } from './preferences.ts';

/** A length as hands on this device read it; to so many decimals in millimetres. */
export function lengthText(mm: number, decimals: number): string {
  const unit = lengthUnit.get();
  return unit === 'mm' ? `${mm.toFixed(decimals)} mm` : formatLength(mm, unit);
}

/** A torque as hands on this device read it. @example torqueText(4.07) // '3 ft·lb' */
export function torqueText(nm: number): string {
  const unit = torqueUnit.get();
  return `${threeFigures(nm / (figureUnit(unit, 'N·m') ?? 1))} ${unit}`;
}
