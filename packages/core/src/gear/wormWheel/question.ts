import type { WormWheelQuantity } from './quantities.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import { combined, given, countOf } from '../readings.ts';

/** What was read off a worm wheel, as `gear.wormWheel.identify` takes it; null while the count or any size is missing. */
export function wheelQuestion({ readings }: MeasuredGear<WormWheelQuantity>): object | null {
  const teeth = countOf(readings.teeth);
  const tip = combined(readings.tipDiameterMm);
  const height = combined(readings.toothHeightMm);
  if (teeth === undefined || (!tip && !height)) return null;
  const throat = combined(readings.throatRadiusMm);
  return {
    teeth,
    measurements: { ...given('throatDiameterMm', tip), ...given('toothHeightMm', height), ...given('throatRadiusMm', throat) },
  };
}
