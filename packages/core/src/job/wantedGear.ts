import type { BevelIdentification } from '../gear/bevel/identify.ts';
import type { Candidate } from '../gear/cylindrical/identifySchema.ts';
import type { WheelIdentification } from '../gear/worm/identifyWheel.ts';
import type { GearAttributes } from '../match/schema.ts';
import type { GearCard } from '../trace/pack.ts';
import type { GearReadings, GearState } from './fold.ts';
import { combined, given } from './readings.ts';

/** The spur or helical gear, or the sector of one, to look for: the candidate that explains the readings, with what only a reading can tell. */
export function wantedCylindrical(candidate: Candidate, gear: GearState, card: GearCard): GearAttributes {
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

/** The bevel to look for: this gear's own teeth, and its mate's. */
export function wantedBevel({ outerModuleMm }: BevelIdentification['candidates'][number], gear: GearState, card: GearCard): GearAttributes {
  const count = (list: GearReadings['teeth']) => list?.at(-1)?.reading.value;
  const [teeth, mateTeeth] = [count(gear.readings.teeth), count(gear.readings.mateTeeth)];
  return {
    type: 'bevel',
    normalModuleMm: outerModuleMm,
    ...(teeth !== undefined && { teeth }),
    ...(mateTeeth !== undefined && { mateTeeth }),
    ...seatOf(gear, card),
  };
}

/** The worm wheel to look for. */
export function wantedWheel(
  { axialModuleMm, teeth }: WheelIdentification['candidates'][number],
  gear: GearState,
  card: GearCard,
): GearAttributes {
  return { type: 'wormWheel', teeth, normalModuleMm: axialModuleMm, ...(gear.hand && { hand: gear.hand }), ...seatOf(gear, card) };
}

/** How it sits on its shaft, and how wide it is: by what was measured on the seat, or else by the shape its family has. */
export function seatOf({ readings, seat }: GearState, card: GearCard): GearAttributes {
  const boreShape = seat?.shape ?? card.boreShape;
  return {
    ...(boreShape && { boreShape }),
    ...given('boreDiameterMm', combined(readings.boreDiameterMm) ?? seat?.bore.diameterMm),
    ...given('keyWidthMm', seat?.shape === 'key' ? seat.bore.keyWidthMm : undefined),
    ...given('dFlatMm', seat?.shape === 'dFlat' ? seat.bore.acrossFlatsMm : undefined),
    ...given('faceWidthMm', combined(readings.faceWidthMm)),
  };
}

/** What was read off a part that came, as `match.receive` takes it. */
export function arrivedAttributes(readings: GearReadings): GearAttributes {
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
  };
}
