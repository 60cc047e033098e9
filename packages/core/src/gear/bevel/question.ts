import type { BevelQuantity } from './quantities.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import type { BevelIdentifyInput } from './identify.ts';
import { combined, given, countOf } from '../readings.ts';

/** What was read off one bevel of a pair, as `gear.bevel.identify` takes it; null while teeth of both or any size is missing. */
export function bevelQuestion({ readings }: MeasuredGear<BevelQuantity>): Partial<BevelIdentifyInput> | null {
  const [own, mate] = [countOf(readings.teeth), countOf(readings.mateTeeth)];
  const tip = combined(readings.tipDiameterMm);
  const height = combined(readings.toothHeightMm);
  if (own === undefined || mate === undefined || (!tip && !height)) return null;
  const isPinion = own <= mate;
  const offset = combined(readings.shaftOffsetMm);
  return {
    pinionTeeth: Math.min(own, mate),
    wheelTeeth: Math.max(own, mate),
    ...given('shaftOffsetMm', offset),
    measurements: { ...given(isPinion ? 'pinionTipDiameterMm' : 'wheelTipDiameterMm', tip), ...given('toothHeightMm', height) },
  };
}
