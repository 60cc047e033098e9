import type { PartAttributes } from '../../match/schema.ts';
import type { GearKind } from '../GearKind.ts';
import type { GearOfFamily, MeasuredGear } from '../measuredGear.ts';
import { combined, countOf, given, latestOver } from '../readings.ts';
import type { WheelCandidate } from '../wormWheel/identify.ts';
import { wormWheel } from '../wormWheel/kind.ts';
import { wantedWheel } from '../wormWheel/wanted.ts';
import { WORM_SECTOR_QUANTITIES, type WormSectorQuantity } from './quantities.ts';

/** A wheel of fewer is none. */
const LEAST_TEETH = 4;
/** An arc that leaves more doubt than this about the count of the whole round says nothing yet, teeth. */
const SURE_TEETH = 0.35;

/** Teeth of the whole round, by how many pitches an arc holds; null while the arc is too short or too rough to tell. */
export function fullTeethOf({ readings }: MeasuredGear<WormSectorQuantity>): number | null {
  const arc = latestOver(readings.arcDeg);
  if (!arc) return null;
  const { value, plusMinus } = arc.reading;
  const teeth = (360 * arc.over) / value;
  return (teeth * plusMinus) / value <= SURE_TEETH ? Math.round(teeth) : null;
}

/** What was read off it, as `gear.wormWheel.identify` takes the wheel that it is a piece of. */
function question(gear: MeasuredGear<WormSectorQuantity>): object | null {
  const { readings } = gear;
  const teeth = fullTeethOf(gear);
  const pitch = latestOver(readings.axialPitch);
  const height = combined(readings.toothHeightMm);
  if (teeth === null || teeth < LEAST_TEETH || (!pitch && !height)) return null;
  return {
    teeth,
    measurements: {
      ...(pitch && { rimPitch: { teeth: pitch.over, lengthMm: pitch.reading } }),
      ...given('toothHeightMm', height),
    },
  };
}

/** The sector to look for: the wheel that it is a piece of, by the teeth that are there. */
function wanted(candidate: WheelCandidate, gear: MeasuredGear<WormSectorQuantity>, card: GearOfFamily): PartAttributes {
  const teeth = countOf(gear.readings.teeth);
  const { teeth: _, ...wheel } = wantedWheel(candidate, gear, card);
  return {
    ...wheel,
    type: 'sector',
    ...(teeth !== undefined && { teeth }),
    ...given('leadAngleDeg', combined(gear.readings.leadAngleDeg)),
  };
}

/** A sector that a worm drives: a piece of a worm wheel, of which an arc works and another may be fresh. */
export const wormSector = {
  id: 'wormSector',
  types: ['sector'],
  suits: ({ body }, { joints }) => joints.some((joint) => joint.type === 'worm' && joint.wheel === body),
  quantities: WORM_SECTOR_QUANTITIES,
  operations: {},
  identification: {
    operation: 'gear.wormWheel.identify',
    question,
    key: wormWheel.identification.key,
    wanted,
  },
} as const satisfies GearKind<WheelCandidate>;
