import type { CylindricalQuantity } from './quantities.ts';
import type { GearOfFamily, MeasuredGear } from '../measuredGear.ts';
import type { Candidate } from './identifySchema.ts';
import type { PartAttributes } from '../../match/schema.ts';
import { seatOf } from '../seatOf.ts';

/** The spur or helical gear, or the sector of one, to look for: the candidate that explains the readings, with what only a reading can tell. */
export function wantedCylindrical(candidate: Candidate, gear: MeasuredGear<CylindricalQuantity>, card: GearOfFamily): PartAttributes {
  const { teeth, normalModuleMm, pressureAngleDeg, helixAngleDeg } = candidate;
  const helical = helixAngleDeg !== 0;
  const straightOrNot = helical ? 'helical' : 'spur';
  return {
    type: card.type === 'sector' ? 'sector' : straightOrNot,
    teeth,
    normalModuleMm,
    pressureAngleDeg,
    ...(helical && { helixAngleDeg: { value: helixAngleDeg, plusMinus: 0.5 } }),
    ...(helical && gear.hand && { hand: gear.hand }),
    ...seatOf(gear, card),
  };
}
