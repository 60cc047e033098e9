import { degrees } from '../../quantity/angle.ts';
import { WORM_DEDENDUM } from './dimensions.ts';
import type { WormReadings } from './hypothesis.ts';

/** What a caliper should read on an unworn worm of this size (mm, degrees). */
export function predictWorm(m: number, starts: number, pitchDiameterMm: number, wheelTeeth?: number) {
  return {
    tipDiameterMm: pitchDiameterMm + 2 * m,
    rootDiameterMm: pitchDiameterMm - 2 * WORM_DEDENDUM * m,
    axialPitchMm: Math.PI * m,
    leadMm: Math.PI * m * starts,
    leadAngleDeg: degrees(Math.atan((m * starts) / pitchDiameterMm)),
    ...(wheelTeeth === undefined ? {} : { centreDistanceMm: (pitchDiameterMm + m * wheelTeeth) / 2 }),
  };
}

/** Read less predicted, for everything that was read; a worn tip reads low. */
export function residualsOf(readings: WormReadings, predicted: ReturnType<typeof predictWorm>): Record<string, number> {
  const { tipDiameterMm, rootDiameterMm, axialPitch, leadAngleDeg, centreDistanceMm } = readings;
  return {
    ...(tipDiameterMm && { tipDiameterMm: tipDiameterMm.value - predicted.tipDiameterMm }),
    ...(rootDiameterMm && { rootDiameterMm: rootDiameterMm.value - predicted.rootDiameterMm }),
    ...(axialPitch && { axialPitchMm: axialPitch.lengthMm.value / axialPitch.threads - predicted.axialPitchMm }),
    ...(leadAngleDeg && { leadAngleDeg: leadAngleDeg.value - predicted.leadAngleDeg }),
    ...(centreDistanceMm &&
      predicted.centreDistanceMm !== undefined && {
        centreDistanceMm: centreDistanceMm.distanceMm.value - predicted.centreDistanceMm,
      }),
  };
}
