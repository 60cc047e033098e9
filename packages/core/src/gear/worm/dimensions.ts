import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { degrees, radians } from '../../quantity/angle.ts';
import { MOST_MODULE_MM, MOST_TEETH, countUpTo, lengthMm, positiveUpTo } from '../../quantity/bounds.ts';

export const wormDimensionsInput = z.strictObject({
  starts: countUpTo(100),
  wheelTeeth: countUpTo(MOST_TEETH),
  axialModuleMm: positiveUpTo(MOST_MODULE_MM),
  wormPitchDiameterMm: lengthMm.optional(),
  diameterQuotient: positiveUpTo(10_000).optional(),
  normalPressureAngleDeg: z.number().positive().lt(45).default(20),
  wheelProfileShift: z.number().min(-10).max(10).default(0),
  frictionCoefficient: z.number().min(0).max(1).default(0.08),
});
export type WormDimensionsInput = z.infer<typeof wormDimensionsInput>;

export const wormDimensionsOutput = z.object({
  ratio: z.number(),
  diameterQuotient: z.number(),
  leadMm: z.number(),
  axialPitchMm: z.number(),
  leadAngleDeg: z.number(),
  normalModuleMm: z.number(),
  wormPitchDiameterMm: z.number(),
  wormTipDiameterMm: z.number(),
  wormRootDiameterMm: z.number(),
  wheelPitchDiameterMm: z.number(),
  wheelThroatDiameterMm: z.number(),
  centreDistanceMm: z.number(),
  efficiencyDriving: z.number(),
  efficiencyBackDriving: z.number(),
  selfLocking: z.boolean(),
});
export type WormDimensions = z.infer<typeof wormDimensionsOutput>;

/** Root of the thread below the pitch line, in modules (dedendum of ISO 53 rack A). */
export const WORM_DEDENDUM = 1.25;

/**
 * Dimensions of a cylindrical worm and its wheel from starts, teeth, axial module and the worm's
 * pitch diameter (or its quotient q = d₁/m). Lengths mm, angles degrees; the wheel may be shifted by
 * x modules. Efficiency from the lead angle γ and ρ′ = atan(μ/cos αₙ); self-locking at γ ≤ ρ′.
 *
 * Sources: ISO/TR 10828 and DIN 3975-1 (geometry), Buckingham, Analytical Mechanics of Gears (friction).
 * @throws CoreFailure where the diameter is missing, given twice and differently, or leaves no root.
 * @example { starts: 1, wheelTeeth: 40, axialModuleMm: 2, diameterQuotient: 10 } → lead angle 5.71°, centre distance 50 mm
 */
export function wormDimensions(input: WormDimensionsInput): WormDimensions {
  const { starts, wheelTeeth, axialModuleMm: m, wheelProfileShift: x } = input;
  const q = quotient(input);
  const pitchDiameter = q * m;
  const rootDiameter = pitchDiameter - 2 * WORM_DEDENDUM * m;
  const field = input.diameterQuotient === undefined ? 'wormPitchDiameterMm' : 'diameterQuotient';
  if (rootDiameter <= 0) {
    const least = input.diameterQuotient === undefined ? 2 * WORM_DEDENDUM * m : 2 * WORM_DEDENDUM;
    throw fail('impossibleGeometry', field, {
      reason: 'threadsTooDeep',
      field,
      module: m,
      least,
    });
  }
  const throat = m * (wheelTeeth + 2 + 2 * x);
  if (wheelTeeth + 2 * x - 2 * WORM_DEDENDUM <= 0) {
    throw fail('impossibleGeometry', x === 0 ? 'wheelTeeth' : 'wheelProfileShift', {
      reason: 'wheelWithoutBody',
    });
  }
  const lead = Math.atan(starts / q);
  const friction = Math.atan(input.frictionCoefficient / Math.cos(radians(input.normalPressureAngleDeg)));
  const selfLocking = lead <= friction;
  return {
    ratio: wheelTeeth / starts,
    diameterQuotient: q,
    leadMm: Math.PI * m * starts,
    axialPitchMm: Math.PI * m,
    leadAngleDeg: degrees(lead),
    normalModuleMm: m * Math.cos(lead),
    wormPitchDiameterMm: pitchDiameter,
    wormTipDiameterMm: pitchDiameter + 2 * m,
    wormRootDiameterMm: rootDiameter,
    wheelPitchDiameterMm: m * wheelTeeth,
    wheelThroatDiameterMm: throat,
    centreDistanceMm: (pitchDiameter + m * (wheelTeeth + 2 * x)) / 2,
    // Beyond γ + ρ′ = 90° the flanks jam and nothing is driven.
    efficiencyDriving: lead + friction >= Math.PI / 2 ? 0 : Math.tan(lead) / Math.tan(lead + friction),
    efficiencyBackDriving: selfLocking ? 0 : Math.tan(lead - friction) / Math.tan(lead),
    selfLocking,
  };
}

function quotient({ axialModuleMm, wormPitchDiameterMm, diameterQuotient }: WormDimensionsInput): number {
  if (wormPitchDiameterMm === undefined) {
    if (diameterQuotient === undefined) throw fail('missing', 'wormPitchDiameterMm', { or: 'diameterQuotient' });
    return diameterQuotient;
  }
  const fromDiameter = wormPitchDiameterMm / axialModuleMm;
  const q = diameterQuotient ?? fromDiameter;
  if (Math.abs(fromDiameter - q) > 1e-6 * q) {
    throw fail('contradiction', 'diameterQuotient', {
      reason: 'diameterAgainstQuotient',
      diameterMm: wormPitchDiameterMm,
      module: axialModuleMm,
      quotient: fromDiameter,
      given: q,
    });
  }
  return q;
}
