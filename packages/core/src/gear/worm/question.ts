import type { WormQuantity } from './quantities.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import type { WormIdentifyInput } from './identify.ts';
import { combined, given, latestOver } from '../readings.ts';

/** What has been read off a worm, as `gear.worm.identify` takes it; null while nothing that tells has been read. */
export function wormQuestion(gear: MeasuredGear<WormQuantity>): Pick<WormIdentifyInput, 'measurements' | 'starts'> | null {
  const { readings } = gear;
  const pitch = latestOver(readings.axialPitch);
  const centre = latestOver(readings.centreDistanceMm);
  const measurements = {
    ...given('tipDiameterMm', combined(readings.tipDiameterMm)),
    ...given('rootDiameterMm', combined(readings.rootDiameterMm)),
    ...given('leadAngleDeg', combined(readings.leadAngleDeg)),
    ...(pitch && { axialPitch: { threads: pitch.over, lengthMm: pitch.reading } }),
    ...(centre && { centreDistanceMm: { wheelTeeth: centre.over, distanceMm: centre.reading } }),
  };
  if (Object.keys(measurements).length === 0) return null;
  const starts = readings.starts?.at(-1)?.reading.value;
  return starts === undefined ? { measurements } : { measurements, starts };
}
