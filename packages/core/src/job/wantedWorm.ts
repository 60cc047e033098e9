import type { WormCandidate } from '../gear/worm/identify.ts';
import type { GearAttributes } from '../match/schema.ts';
import type { GearCard } from '../trace/pack.ts';
import type { GearState } from './fold.ts';
import { seatOf } from './wantedGear.ts';

/** The worm to look for: the candidate that explains the readings, with what only a reading can tell (bore, length, hand). */
export function wantedWorm(candidate: WormCandidate, gear: GearState, card: GearCard): GearAttributes {
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
