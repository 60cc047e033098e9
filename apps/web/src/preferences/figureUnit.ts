import { figureUnit, type FigureBase, type LengthUnit } from '@patient-badger/core';
import { t } from '@patient-badger/wording/design';
import { distanceUnit, lengthUnit, torqueUnit } from './preferences.ts';

/** What stands behind a length. */
export const LENGTH_WORDS: Readonly<Record<LengthUnit, string>> = { mm: 'mm', inch: 'in', thou: 'thou' };

/** What hands on this device write figures of a kind in: its word, and how much of what is kept one of it is. */
export function useFigureUnit(base: FigureBase): { readonly word: string; readonly factor: number } {
  const words: Readonly<Record<FigureBase, string>> = {
    mm: LENGTH_WORDS[lengthUnit.use()],
    'N·m': torqueUnit.use(),
    perKm: distanceUnit.use() === 'km' ? t.perKm : t.perMile,
  };
  const word = words[base];
  return { word, factor: figureUnit(word, base) ?? 1 };
}
