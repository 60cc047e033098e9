import type { CylindricalQuantity } from './quantities.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import type { IdentifyInput } from './identifySchema.ts';
import { byOver, combined, given, latestOver } from '../readings.ts';

type Question = Pick<IdentifyInput, 'teeth' | 'teethOverArc'> & {
  readonly measurements: Omit<IdentifyInput['measurements'], 'overPins'>;
};

/**
 * What has been read off a spur or helical gear, as `gear.cylindrical.identify` takes it; null while
 * neither teeth nor a piece of the rim are counted, or nothing that tells the size has been read.
 */
export function cylindricalQuestion({ readings }: MeasuredGear<CylindricalQuantity>): Question | null {
  const teeth = readings.teeth?.at(-1)?.reading.value;
  const arc = latestOver(readings.arcDeg);
  const centre = latestOver(readings.centreDistanceMm);
  const spans = byOver(readings.spanMm);
  const sizes = {
    ...given('tipDiameterMm', combined(readings.tipDiameterMm)),
    ...given('rootDiameterMm', combined(readings.rootDiameterMm)),
    ...(centre && { centreDistanceMm: { mateTeeth: centre.over, distanceMm: centre.reading } }),
  };
  if ((teeth === undefined && !arc) || (Object.keys(sizes).length === 0 && spans.length === 0)) return null;
  return {
    ...(teeth !== undefined && { teeth }),
    ...(arc && { teethOverArc: { teeth: arc.over, arcDeg: arc.reading } }),
    measurements: {
      ...sizes,
      spans: spans.map(({ over, reading }) => ({ teeth: over, spanMm: reading })),
      ...given('helixAngleDeg', combined(readings.helixAngleDeg)),
      ...given('faceWidthMm', combined(readings.faceWidthMm)),
    },
  };
}
