import type { PartAttributes } from '../../match/schema.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import { combined, given } from '../readings.ts';
import type { ScrewCandidate } from './identify.ts';
import type { ScrewQuantity } from './quantities.ts';

/** The screw to look for. Its pitch as a module would be, for that is how parts are listed and matched. */
export function wantedScrew({ pitchMm, starts }: ScrewCandidate, gear: MeasuredGear<ScrewQuantity>): PartAttributes {
  const { readings, hand } = gear;
  return {
    type: 'screw',
    starts,
    axialModuleMm: pitchMm / Math.PI,
    ...(hand && { hand }),
    ...given('outsideDiameterMm', combined(readings.tipDiameterMm)),
    ...given('lengthMm', combined(readings.faceWidthMm)),
  };
}
