import type { WormQuantity } from './quantities.ts';
import type { GearOfFamily, MeasuredGear } from '../measuredGear.ts';
import type { WormCandidate } from './identify.ts';
import type { PartAttributes } from '../../match/schema.ts';
import { seatOf } from '../seatOf.ts';

/** The worm to look for: the candidate that explains the readings, with what only a reading can tell (bore, length, hand). */
export function wantedWorm(candidate: WormCandidate, gear: MeasuredGear<WormQuantity>, card: GearOfFamily): PartAttributes {
  return {
    type: 'worm',
    starts: candidate.starts,
    axialModuleMm: candidate.axialModuleMm,
    // The pitch diameter is fitted through worn tips and a free root: good to about a tenth.
    pitchDiameterMm: { value: candidate.wormPitchDiameterMm, plusMinus: 0.08 },
    ...(gear.hand && { hand: gear.hand }),
    ...seatOf(gear, card),
  };
}
