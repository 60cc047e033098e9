import type { MeasuredGear } from '../measuredGear.ts';
import { combined, given, latestOver } from '../readings.ts';
import type { RackQuantity } from './quantities.ts';

/** What was read off a rack, as `gear.rack.identify` takes it; null while neither pitch nor tooth was. */
export function rackQuestion({ readings }: MeasuredGear<RackQuantity>): object | null {
  const pitch = latestOver(readings.axialPitch);
  const height = combined(readings.toothHeightMm);
  if (!pitch && !height) return null;
  return {
    measurements: {
      ...(pitch && { pitch: { teeth: pitch.over, lengthMm: pitch.reading } }),
      ...given('toothHeightMm', height),
      ...given('pressureAngleDeg', combined(readings.pressureAngleDeg)),
    },
  };
}
