import type { PartAttributes } from '../match/schema.ts';
import { combined, given, type Readings } from './readings.ts';

/** What was read off a part that came, as `match.receive` takes it; with the hand of its teeth where that was noted. */
export function arrivedAttributes(
  readings: Readings<'teeth' | 'starts' | 'tipDiameterMm' | 'boreDiameterMm' | 'faceWidthMm' | 'helixAngleDeg'>,
  hand?: PartAttributes['hand'],
): PartAttributes {
  const count = (quantity: 'teeth' | 'starts') => {
    const last = readings[quantity]?.at(-1)?.reading.value;
    return last === undefined ? {} : { [quantity]: last };
  };
  return {
    ...count('teeth'),
    ...count('starts'),
    ...given('tipDiameterMm', combined(readings.tipDiameterMm)),
    ...given('boreDiameterMm', combined(readings.boreDiameterMm)),
    ...given('faceWidthMm', combined(readings.faceWidthMm)),
    ...given('helixAngleDeg', combined(readings.helixAngleDeg)),
    ...(hand && { hand }),
  };
}
