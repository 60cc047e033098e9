import { fail } from '../../failure/CoreFailure.ts';
import { radians } from '../../quantity/angle.ts';
import { CYLINDRICAL_SHIFTS, PRESSURE_ANGLES } from '../priors.ts';
import { standardSizes, type StandardSize } from '../standardSizes.ts';
import type { IdentifyInput } from './identifySchema.ts';

/** One standard gear that may have been it; the profile shift and the wear are left open. */
export interface Hypothesis {
  readonly size: StandardSize;
  readonly teeth: number;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: number;
  /** Share of the prior. */
  readonly share: number;
}

/** Beyond so many standard deviations of an arc no tooth count is tried. */
const ARC_SIGMAS = 4;
const MOST_TEETH = 500;

/**
 * Tooth counts, helix angles and sizes left open by an arc, beyond which no other reading would tell them apart, and nobody would
 * wait for it: six pitches over 50° ± 7° leave as many open.
 */
const MOST_OPEN = 3000;

/** Every standard gear that the counts, the arc and the diameters leave possible at all. */
export function hypothesesOf(input: IdentifyInput): readonly Hypothesis[] {
  const teeth = teethPossible(input);
  const helices = helicesPossible(input, teeth.length);
  const sizes = standardSizes(input.systems);
  if (teeth.length * helices.length * sizes.length > MOST_OPEN) {
    throw fail('contradiction', 'teethOverArc.arcDeg.plusMinus', { reason: 'arcTooUncertain', arcDeg: input.teethOverArc?.arcDeg.value });
  }
  return sizes.flatMap((size) =>
    PRESSURE_ANGLES[size.system].flatMap(([pressureAngleDeg, often]) =>
      teeth.flatMap((count) =>
        helices
          .filter(({ helixAngleDeg }) => diameterPossible(input, size.moduleMm, count.teeth, helixAngleDeg))
          .map(({ helixAngleDeg, share }) => ({
            size,
            teeth: count.teeth,
            pressureAngleDeg,
            helixAngleDeg,
            share: size.share * often * share * count.share,
          })),
      ),
    ),
  );
}

function teethPossible({ teeth, teethOverArc, measurements }: IdentifyInput): readonly { teeth: number; share: number }[] {
  if (teeth !== undefined) return [{ teeth, share: 1 }];
  if (teethOverArc === undefined) {
    throw fail('missing', 'teeth', { or: 'teethOverArc' });
  }
  const { value, plusMinus } = teethOverArc.arcDeg;
  if (value <= 0 || value > 360) throw fail('outOfRange', 'teethOverArc.arcDeg.value', { minimum: 0, maximum: 360, given: value });
  // So uncertain an arc may be any, or none at all: nothing can be counted with it.
  if (plusMinus > value / 3) throw fail('contradiction', 'teethOverArc.arcDeg.plusMinus', { reason: 'arcTooUncertain', arcDeg: value });
  const mean = (360 * teethOverArc.teeth) / value;
  const sd = Math.max(0.1, (mean * plusMinus) / value);
  const low = Math.max(4, Math.ceil(mean - ARC_SIGMAS * sd), ...measurements.spans.map((span) => span.teeth + 1));
  const high = Math.min(MOST_TEETH, Math.floor(mean + ARC_SIGMAS * sd));
  const list = Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i).map((count) => ({
    teeth: count,
    weight: Math.exp(-0.5 * ((count - mean) / sd) ** 2),
  }));
  const total = list.reduce((sum, { weight }) => sum + weight, 0);
  return list.map((each) => ({ teeth: each.teeth, share: each.weight / total }));
}

/** Teeth that slant more than this are a worm's. */
const MOST_HELIX_DEG = 75;
const FEW_COUNTS = 3;

/** Spur where no helix was measured; else a few angles about the reading, and spur where that is as good as nought. */
function helicesPossible(
  { measurements: { helixAngleDeg } }: IdentifyInput,
  counts: number,
): readonly { helixAngleDeg: number; share: number }[] {
  if (!helixAngleDeg) return [{ helixAngleDeg: 0, share: 1 }];
  const { value, plusMinus } = helixAngleDeg;
  const sd = Math.max(plusMinus, 0.05);
  // An arc leaves more open than half a degree of slant would tell.
  const steps = counts > FEW_COUNTS ? [-1.2, 0, 1.2] : [-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2];
  const about = steps.map((z) => ({
    helixAngleDeg: Math.abs(value) + z * sd,
    weight: Math.exp(-0.5 * z * z),
  }));
  const helical = about.filter((each) => each.helixAngleDeg > 0.5 && each.helixAngleDeg < MOST_HELIX_DEG);
  const spur = Math.exp(-0.5 * (value / sd) ** 2) * 8;
  const total = helical.reduce((sum, { weight }) => sum + weight, spur);
  return [
    ...(spur / total > 1e-6 ? [{ helixAngleDeg: 0, share: spur / total }] : []),
    ...helical.map(({ helixAngleDeg: angle, weight }) => ({ helixAngleDeg: angle, share: weight / total })),
  ];
}

/** Whether the tips or roots read can belong to so many teeth of that size at any shift. */
function diameterPossible({ measurements, wear }: IdentifyInput, module: number, teeth: number, helixAngleDeg: number): boolean {
  const pitch = (teeth * module) / Math.cos(radians(helixAngleDeg));
  const { tipDiameterMm: tip, rootDiameterMm: root } = measurements;
  const within = (value: number, error: number, low: number, high: number) => value > low - 6 * error && value < high + 6 * error;
  if (
    tip &&
    !within(
      tip.value,
      tip.plusMinus,
      pitch + 2 * module * (1 + CYLINDRICAL_SHIFTS.from) - wear.maxTipLossMm,
      pitch + 2 * module * (1 + CYLINDRICAL_SHIFTS.to),
    )
  )
    return false;
  return (
    !root ||
    within(
      root.value,
      root.plusMinus + 0.1 * module,
      pitch - 2 * module * (1.25 - CYLINDRICAL_SHIFTS.from),
      pitch - 2 * module * (1.25 - CYLINDRICAL_SHIFTS.to),
    )
  );
}
