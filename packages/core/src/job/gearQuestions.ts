import type { BevelIdentifyInput } from '../gear/bevel/identify.ts';
import type { Candidate } from '../gear/cylindrical/identifySchema.ts';
import type { MeshInput } from '../gear/cylindrical/mesh.ts';
import type { WearInput } from '../gear/cylindrical/wear.ts';
import type { Measured } from '../quantity/measured.ts';
import type { GearReadings, GearState } from './fold.ts';
import { byOver, combined, given, latestOver } from './readings.ts';

const countOf = (list: GearReadings['teeth']) => list?.at(-1)?.reading.value;

const newGear = ({ teeth, normalModuleMm, pressureAngleDeg, helixAngleDeg, profileShift }: Candidate) => ({
  teeth,
  normalModuleMm,
  pressureAngleDeg,
  helixAngleDeg,
  profileShift,
});

/** How worn is it against the gear it was, as `gear.wear` takes it; null while no span has been read. */
export function wearQuestion(candidate: Candidate, { readings, scans, limit }: GearState): Partial<WearInput> | null {
  const spans = byOver(readings.spanMm).filter(({ over }) => over < candidate.teeth);
  if (spans.length === 0) return null;
  const scan = scans?.at(-1)?.found;
  return {
    gear: newGear(candidate) as WearInput['gear'],
    measured: {
      spans: spans.map(({ over, reading }) => ({ teeth: over, spanMm: reading })),
      overPins: [],
      ...given('tipDiameterMm', combined(readings.tipDiameterMm)),
    },
    ...(scan && { missingTeeth: scan.teeth - scan.teethPresent }),
    ...(limit && { limits: { thinningMm: limit.thinningMm, source: limit.source } }),
  };
}

/** Gear and mate at the measured centre distance, as `gear.pair.mesh` takes it; the mate is taken as new. Null while no distance was read. */
export function meshQuestion(candidate: Candidate, { readings }: GearState, thinningMm: number): Partial<MeshInput> | null {
  const centre = latestOver(readings.centreDistanceMm);
  if (!centre) return null;
  const { normalModuleMm, pressureAngleDeg, helixAngleDeg } = candidate;
  const own = { teeth: candidate.teeth, profileShift: candidate.profileShift, toothThinningMm: Math.max(0, thinningMm) };
  const mate = { teeth: centre.over, profileShift: 0, toothThinningMm: 0 };
  const [pinion, wheel] = own.teeth <= mate.teeth ? [own, mate] : [mate, own];
  return { normalModuleMm, pressureAngleDeg, helixAngleDeg, pinion, wheel, centreDistanceMm: centre.reading.value };
}

/** What was read off one bevel of a pair, as `gear.bevel.identify` takes it; null while teeth of both or any size is missing. */
export function bevelQuestion({ readings }: GearState): Partial<BevelIdentifyInput> | null {
  const [own, mate] = [countOf(readings.teeth), countOf(readings.mateTeeth)];
  const tip = combined(readings.tipDiameterMm);
  const height = combined(readings.toothHeightMm);
  if (own === undefined || mate === undefined || (!tip && !height)) return null;
  const isPinion = own <= mate;
  return {
    pinionTeeth: Math.min(own, mate),
    wheelTeeth: Math.max(own, mate),
    measurements: { ...given(isPinion ? 'pinionTipDiameterMm' : 'wheelTipDiameterMm', tip), ...given('toothHeightMm', height) },
  };
}

/** What was read off a worm wheel, as `gear.wheel.identify` takes it; null while the count or any size is missing. */
export function wheelQuestion({ readings }: GearState): object | null {
  const teeth = countOf(readings.teeth);
  const tip = combined(readings.tipDiameterMm);
  const height = combined(readings.toothHeightMm);
  if (teeth === undefined || (!tip && !height)) return null;
  return { teeth, measurements: { ...given('throatDiameterMm', tip), ...given('toothHeightMm', height) } };
}

/** All readings as one value each, as `gear.compare` takes them: spans by their count. */
export function comparable(readings: GearReadings): Readonly<Record<string, Measured>> {
  const list = Object.entries(readings).flatMap(([quantity, read]): [string, Measured][] => {
    if (quantity === 'arcDeg' || quantity === 'centreDistanceMm') return [];
    if (quantity === 'spanMm' || quantity === 'axialPitch')
      return byOver(read).map(({ over, reading }) => [`${quantity}/${over}`, reading]);
    const one = combined(read);
    return one ? [[quantity, one]] : [];
  });
  return Object.fromEntries(list);
}
