import type { MeasuredGear } from '../measuredGear.ts';
import { combined, countOf, given, latestOver } from '../readings.ts';
import type { ScrewQuantity } from './quantities.ts';

/** What was read off a screw, as `gear.screw.identify` takes it; null while neither its pitch nor its nut's travel was. */
export function screwQuestion({ readings }: MeasuredGear<ScrewQuantity>): object | null {
  const pitch = latestOver(readings.axialPitch);
  const travel = latestOver(readings.travelMm);
  if (!pitch && !travel) return null;
  const starts = countOf(readings.starts);
  return {
    measurements: {
      ...(pitch && { pitch: { threads: pitch.over, lengthMm: pitch.reading } }),
      ...(travel && { travel: { turns: travel.over, travelMm: travel.reading } }),
      ...given('flankAngleDeg', combined(readings.pressureAngleDeg)),
    },
    ...(starts !== undefined && { starts }),
  };
}
