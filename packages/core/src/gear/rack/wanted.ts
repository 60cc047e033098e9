import type { PartAttributes } from '../../match/schema.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import { combined, countOf, given } from '../readings.ts';
import type { RackCandidate } from './identify.ts';
import type { RackQuantity } from './quantities.ts';

/** The rack to look for. */
export function wantedRack(candidate: RackCandidate, { readings }: MeasuredGear<RackQuantity>): PartAttributes {
  const teeth = countOf(readings.teeth);
  return {
    type: 'rack',
    normalModuleMm: candidate.normalModuleMm,
    pressureAngleDeg: candidate.pressureAngleDeg,
    ...(teeth !== undefined && { teeth }),
    ...given('faceWidthMm', combined(readings.faceWidthMm)),
  };
}
