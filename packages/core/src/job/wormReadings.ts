import type { WormIdentifyInput } from '../gear/worm/identify.ts';
import type { Measured } from '../quantity/measured.ts';
import type { DimensionReading, GearState } from './fold.ts';

/**
 * Repeated readings of one dimension → one, weighted by 1/±² as independent readings are.
 * @example two readings of 18.02 and 18.06, ± 0.03 each → 18.04 ± 0.021
 */
export function combine(readings: readonly Measured[]): Measured {
  const weights = readings.map(({ plusMinus }) => 1 / Math.max(plusMinus, 1e-6) ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const value = readings.reduce((sum, each, i) => sum + each.value * (weights[i] ?? 0), 0) / total;
  return { value, plusMinus: 1 / Math.sqrt(total) };
}

/** What has been read off a worm, as `gear.worm.identify` takes it; null while nothing that tells has been read. */
export function wormQuestion(gear: GearState): Pick<WormIdentifyInput, 'measurements' | 'starts'> | null {
  const { readings } = gear;
  const of = (list: readonly DimensionReading[] | undefined) => (list?.length ? combine(list.map(({ reading }) => reading)) : undefined);
  const pitch = sameOver(readings.axialPitch);
  const centre = sameOver(readings.centreDistanceMm);
  const measurements = {
    ...given('tipDiameterMm', of(readings.tipDiameterMm)),
    ...given('rootDiameterMm', of(readings.rootDiameterMm)),
    ...given('leadAngleDeg', of(readings.leadAngleDeg)),
    ...(pitch && { axialPitch: { threads: pitch.over, lengthMm: pitch.reading } }),
    ...(centre && { centreDistanceMm: { wheelTeeth: centre.over, distanceMm: centre.reading } }),
  };
  if (Object.keys(measurements).length === 0) return null;
  const starts = readings.starts?.at(-1)?.reading.value;
  return starts === undefined ? { measurements } : { measurements, starts };
}

const given = (key: string, reading: Measured | undefined) => (reading ? { [key]: reading } : {});

/** Readings over different counts cannot be averaged: those like the latest are. */
function sameOver(list: readonly DimensionReading[] | undefined): { over: number; reading: Measured } | null {
  const over = list?.at(-1)?.over;
  if (!list || over === undefined) return null;
  return { over, reading: combine(list.filter((each) => each.over === over).map(({ reading }) => reading)) };
}
