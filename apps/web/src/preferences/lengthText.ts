import { formatLength } from '@patient-badger/core';
import { lengthUnit } from './preferences.ts';

/** A length as hands on this device read it; to so many decimals in millimetres. */
export function lengthText(mm: number, decimals: number): string {
  const unit = lengthUnit.get();
  return unit === 'mm' ? `${mm.toFixed(decimals)} mm` : formatLength(mm, unit);
}
