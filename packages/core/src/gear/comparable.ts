import type { Measurement } from '../quantity/measured.ts';
import { byOver, combined, type Readings } from './readings.ts';

/** All readings as one value each, as `gear.compare` takes them: spans by their count. */
export function comparable(readings: Readings<string>): Readonly<Record<string, Measurement>> {
  const list = Object.entries(readings).flatMap(([quantity, read]): [string, Measurement][] => {
    if (quantity === 'arcDeg' || quantity === 'centreDistanceMm') return [];
    if (quantity === 'spanMm' || quantity === 'axialPitch')
      return byOver(read).map(({ over, reading }) => [`${quantity}/${over}`, reading]);
    const one = combined(read);
    return one ? [[quantity, one]] : [];
  });
  return Object.fromEntries(list);
}
