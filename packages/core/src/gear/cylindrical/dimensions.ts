import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { degrees } from '../../quantity/angle.ts';
import { overPins } from './overPins.ts';
import { cutOf, POINTED_TIP, profileOf, teethWithoutUndercut, thicknessAt, type Cut, type Profile } from './profile.ts';
import { type CylindricalInput } from './schema.ts';
import { spanOver, usualSpanTeeth } from './span.ts';
import { moduleFrom } from '../moduleFrom.ts';

export const cylindricalOutput = z.object({
  normalModuleMm: z.number(),
  transverseModuleMm: z.number(),
  transversePressureAngleDeg: z.number(),
  pitchDiameterMm: z.number(),
  baseDiameterMm: z.number(),
  tipDiameterMm: z.number(),
  rootDiameterMm: z.number(),
  basePitchMm: z.number(),
  toothThicknessMm: z.number(),
  tipThicknessMm: z.number(),
  spanTeeth: z.int(),
  spanMm: z.number(),
  overPinsMm: z.number().optional(),
  leadMm: z.number().optional(),
  minimumTeethWithoutUndercut: z.number(),
  warnings: z.array(z.enum(['undercut', 'pointedTip'])),
});
export type CylindricalDimensions = z.infer<typeof cylindricalOutput>;

/**
 * Dimensions of an external spur or helical gear from teeth and module (or diametral pitch). Lengths
 * mm, angles degrees; x, hₐ* (1) and h_f* (1.25) in modules; thinning A normal at the pitch circle.
 * Thickness and base pitch are normal; the least teeth without undercut are given as the exact
 * quotient, not rounded. `pointedTip`: the tip is thinner than a fifth of a module.
 *
 * Sources: ISO 21771:2007 / DIN 3960 (geometry, span, balls), ISO 53 (rack), AGMA (diametral pitch).
 * @throws CoreFailure where neither module nor pitch is given, the gear has no root left, the span has
 * more teeth than the gear, or the pins would not touch the flanks
 * @example { teeth: 25, normalModuleMm: 1 } → span over 3 teeth 7.7305 mm
 */
export function cylindricalDimensions(input: CylindricalInput): CylindricalDimensions {
  const normalModuleMm = moduleFrom(input);
  const cut = cutOf({ ...input, normalModuleMm });
  const profile = checked(cut, profileOf(cut), input);
  const k = input.spanTeeth ?? usualSpanTeeth(cut, profile);
  const least = teethWithoutUndercut(cut, profile);
  const tipThicknessMm = thicknessAt(cut, profile, profile.tipDiameterMm);
  return {
    normalModuleMm,
    transverseModuleMm: profile.transverseModuleMm,
    transversePressureAngleDeg: degrees(profile.transversePressureAngle),
    pitchDiameterMm: profile.pitchDiameterMm,
    baseDiameterMm: profile.baseDiameterMm,
    tipDiameterMm: profile.tipDiameterMm,
    rootDiameterMm: profile.rootDiameterMm,
    basePitchMm: Math.PI * normalModuleMm * Math.cos(cut.pressureAngle),
    toothThicknessMm: profile.thicknessMm,
    // Flanks that meet below the tips leave none of it.
    tipThicknessMm: Math.max(0, tipThicknessMm),
    spanTeeth: k,
    spanMm: spanOver(k, cut, profile),
    ...(input.pinDiameterMm === undefined ? {} : { overPinsMm: pinned(input.pinDiameterMm, cut, profile) }),
    ...(cut.helixAngle === 0 ? {} : { leadMm: (Math.PI * cut.teeth * normalModuleMm) / Math.sin(Math.abs(cut.helixAngle)) }),
    minimumTeethWithoutUndercut: least,
    warnings: [
      ...(cut.teeth < least ? (['undercut'] as const) : []),
      ...(tipThicknessMm < POINTED_TIP * normalModuleMm ? (['pointedTip'] as const) : []),
    ],
  };
}

function pinned(pinMm: number, cut: Cut, profile: Profile): number {
  const over = overPins(pinMm, cut, profile);
  if (over !== null) return over;
  throw fail('impossibleGeometry', 'pinDiameterMm', { reason: 'pinsSink', pinMm });
}

/** Refuses a profile that no cutter can leave. */
export function checked(cut: Cut, profile: Profile, { spanTeeth }: Pick<CylindricalInput, 'spanTeeth'> = {}, path = ''): Profile {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  if (profile.rootDiameterMm <= 0) throw fail('impossibleGeometry', at('teeth'), { reason: 'nothingBelowRoots' });
  if (profile.tipDiameterMm <= profile.baseDiameterMm) {
    throw fail('impossibleGeometry', at('profileShift'), {
      reason: 'tipsBelowBase',
    });
  }
  if (profile.thicknessMm <= 0) throw fail('impossibleGeometry', at('toothThinningMm'), { reason: 'noToothLeft' });
  if (spanTeeth !== undefined && spanTeeth >= cut.teeth) {
    throw fail('outOfRange', at('spanTeeth'), { minimum: 1, maximum: cut.teeth - 1, given: spanTeeth });
  }
  return profile;
}
