import type { GearOfFamily, MeasuredGear } from './measuredGear.ts';
import type { PartAttributes } from '../match/schema.ts';
import { combined, given } from './readings.ts';

/** How it sits on its shaft, and how wide it is: by what was measured on the seat, or else by the shape its family has. */
export function seatOf({ readings, seat }: MeasuredGear<'boreDiameterMm' | 'faceWidthMm'>, card: GearOfFamily): PartAttributes {
  const boreShape = seat?.shape ?? card.boreShape;
  return {
    ...(boreShape && { boreShape }),
    ...given('boreDiameterMm', combined(readings.boreDiameterMm) ?? seat?.bore.diameterMm),
    ...given('keyWidthMm', seat?.shape === 'key' ? seat.bore.keyWidthMm : undefined),
    ...given('dFlatMm', seat?.shape === 'dFlat' ? seat.bore.acrossFlatsMm : undefined),
    ...given('faceWidthMm', combined(readings.faceWidthMm)),
  };
}
