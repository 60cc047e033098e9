import type { BevelQuantity } from './quantities.ts';
import type { GearOfFamily, MeasuredGear } from '../measuredGear.ts';
import type { BevelCandidate } from './identify.ts';
import type { PartAttributes } from '../../match/schema.ts';
import { countOf } from '../readings.ts';
import { seatOf } from '../seatOf.ts';

/** The bevel to look for: this gear's own teeth, and its mate's. */
export function wantedBevel({ outerModuleMm }: BevelCandidate, gear: MeasuredGear<BevelQuantity>, card: GearOfFamily): PartAttributes {
  const [teeth, mateTeeth] = [countOf(gear.readings.teeth), countOf(gear.readings.mateTeeth)];
  return {
    type: 'bevel',
    normalModuleMm: outerModuleMm,
    ...(teeth !== undefined && { teeth }),
    ...(mateTeeth !== undefined && { mateTeeth }),
    ...seatOf(gear, card),
  };
}
