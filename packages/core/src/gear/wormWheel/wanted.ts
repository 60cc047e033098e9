import type { WormWheelQuantity } from './quantities.ts';
import type { GearOfFamily, MeasuredGear } from '../measuredGear.ts';
import type { WheelCandidate } from './identify.ts';
import type { PartAttributes } from '../../match/schema.ts';
import { combined, given } from '../readings.ts';
import { seatOf } from '../seatOf.ts';

/** The worm wheel to look for. */
export function wantedWheel(
  { axialModuleMm, teeth }: WheelCandidate,
  gear: MeasuredGear<WormWheelQuantity>,
  card: GearOfFamily,
): PartAttributes {
  return {
    type: 'wormWheel',
    teeth,
    normalModuleMm: axialModuleMm,
    ...(gear.hand && { hand: gear.hand }),
    ...given('outsideDiameterMm', combined(gear.readings.outsideDiameterMm)),
    ...seatOf(gear, card),
  };
}
