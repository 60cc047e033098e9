import { formatLength, type LengthUnit } from '@patient-badger/core';
import type { GearQuantity } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { KindWords, QuantityWords } from './QuantityWords.ts';

/** Angles are read to a tenth of a degree or a little finer. */
const TEXTS = {
  length: formatLength,
  angle: (value: number) => `${Number(value.toFixed(2))}°`,
  count: (value: number) => `${value}`,
} as const satisfies Record<QuantityWords['kind'], (value: number, unit: LengthUnit) => string>;

/** The last reading of each dimension as it is shown on the drawing. @example { axialPitch: '12.57 mm / 4' } */
export function readValues({ readings }: GearState, words: KindWords, unit: LengthUnit): Partial<Record<GearQuantity, string>> {
  const shown = (Object.keys(readings) as GearQuantity[]).map((quantity) => {
    const last = readings[quantity]?.at(-1);
    if (!last) return [quantity, undefined];
    const kind = words[quantity]?.kind ?? 'length';
    const text = TEXTS[kind](last.reading.value, unit);
    return [quantity, last.over === undefined ? text : `${text} / ${last.over}`];
  });
  return Object.fromEntries(shown) as Partial<Record<GearQuantity, string>>;
}
