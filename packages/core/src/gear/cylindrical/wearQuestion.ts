import type { MeasuredGear } from '../measuredGear.ts';
import type { Candidate } from './identifySchema.ts';
import type { CylindricalQuantity } from './quantities.ts';
import type { meshInput } from './mesh.ts';
import type { z } from 'zod';
import type { wearInput } from './wear.ts';
import { byOver, combined, given, latestOver } from '../readings.ts';

interface WornGear extends MeasuredGear<CylindricalQuantity> {
  /** Counts on photos, oldest first. */
  readonly scans?: readonly { readonly found: { readonly teeth: number; readonly teethPresent: number } }[];
  readonly limit?: { readonly thinningMm: number; readonly source: string };
}

const newGear = ({ teeth, normalModuleMm, pressureAngleDeg, helixAngleDeg, profileShift }: Candidate) => ({
  teeth,
  normalModuleMm,
  pressureAngleDeg,
  helixAngleDeg,
  profileShift,
});

/** How worn is it against the gear it was, as `gear.wear` takes it; null while no span has been read. */
export function wearQuestion(candidate: Candidate, { readings, scans, limit }: WornGear): z.input<typeof wearInput> | null {
  const spans = byOver(readings.spanMm).filter(({ over }) => over < candidate.teeth);
  if (spans.length === 0) return null;
  const scan = scans?.at(-1)?.found;
  return {
    gear: newGear(candidate),
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
export function meshQuestion(
  candidate: Candidate,
  { readings }: MeasuredGear<CylindricalQuantity>,
  thinningMm: number,
): z.input<typeof meshInput> | null {
  const centre = latestOver(readings.centreDistanceMm);
  if (!centre) return null;
  const { normalModuleMm, pressureAngleDeg, helixAngleDeg } = candidate;
  const own = { teeth: candidate.teeth, profileShift: candidate.profileShift, toothThinningMm: Math.max(0, thinningMm) };
  const mate = { teeth: centre.over, profileShift: 0, toothThinningMm: 0 };
  const [pinion, wheel] = own.teeth <= mate.teeth ? [own, mate] : [mate, own];
  return { normalModuleMm, pressureAngleDeg, helixAngleDeg, pinion, wheel, centreDistanceMm: centre.reading.value };
}
