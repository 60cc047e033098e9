import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { degrees } from '../../quantity/angle.ts';
import { checked } from './dimensions.ts';
import { inverseInvolute, involute } from './involute.ts';
import { cutOf, profileOf, teethWithoutUndercut, type Cut, type Profile } from './profile.ts';
import { shared } from './schema.ts';
import { moduleFrom } from '../moduleFrom.ts';
import { lengthMm } from '../../quantity/bounds.ts';

const member = z.strictObject({
  teeth: z.int().min(4).max(2000),
  profileShift: z.number().min(-2).max(3).default(0),
  toothThinningMm: z.number().min(0).max(300).default(0),
});

export const meshInput = z.strictObject({
  ...shared,
  addendumCoefficient: z.number().positive().max(2).default(1),
  dedendumCoefficient: z.number().positive().max(3).default(1.25),
  pinion: member,
  wheel: member,
  centreDistanceMm: lengthMm.optional(),
});
export type MeshInput = z.infer<typeof meshInput>;

export const MESH_WARNINGS = ['undercut', 'noBacklash', 'contactRatioBelowOne', 'tipsTouchRoot'] as const;

export const meshOutput = z.object({
  ratio: z.number(),
  referenceCentreDistanceMm: z.number(),
  centreDistanceMm: z.number(),
  workingPressureAngleDeg: z.number(),
  circumferentialBacklashMm: z.number(),
  normalBacklashMm: z.number(),
  backlashAtWheelDeg: z.number(),
  transverseContactRatio: z.number(),
  tipClearancePinionMm: z.number(),
  tipClearanceWheelMm: z.number(),
  warnings: z.array(z.enum(MESH_WARNINGS)),
});
export type Mesh = z.infer<typeof meshOutput>;

/**
 * A pair of external gears on parallel shafts at a centre distance (none given: where the unthinned
 * gears run without backlash). Lengths mm; the backlash is at the working pitch circle, circumferential
 * and along the normal, and as the wheel's turn with the pinion held. The pinion's tip clearance is to
 * the wheel's root, and the other way round.
 *
 * Sources: ISO 21771:2007 / DIN 3960, clauses on gear pairs.
 * @throws CoreFailure where the shafts stand so close that base circles overlap, or shifts leave no mesh
 * @example 20 and 40 teeth of module 2 → centre distance 60 mm, no backlash, contact ratio 1.64
 */
export function meshPair(input: MeshInput): Mesh {
  const normalModuleMm = moduleFrom(input);
  const side = (path: 'pinion' | 'wheel') => {
    const cut = cutOf({ ...input, ...input[path], normalModuleMm });
    return { cut, profile: checked(cut, profileOf(cut), {}, path) };
  };
  const [pinion, wheel] = [side('pinion'), side('wheel')];
  const teeth = pinion.cut.teeth + wheel.cut.teeth;
  const { transversePressureAngle, transverseModuleMm, baseHelixAngle } = pinion.profile;
  const reference = (transverseModuleMm * teeth) / 2;
  const a = input.centreDistanceMm ?? closeMesh(pinion.cut, wheel.cut, transversePressureAngle, reference);
  const bases = (pinion.profile.baseDiameterMm + wheel.profile.baseDiameterMm) / 2;
  if (a <= bases) {
    throw fail('impossibleGeometry', 'centreDistanceMm', {
      reason: 'baseCirclesOverlap',
      leastMm: bases,
    });
  }
  const working = Math.acos(bases / a);
  const diameters = [pinion, wheel].map(({ cut }) => (2 * a * cut.teeth) / teeth) as [number, number];
  const pitch = (Math.PI * diameters[0]) / pinion.cut.teeth;
  const circumferential = pitch - thicknessOn(pinion, diameters[0], working) - thicknessOn(wheel, diameters[1], working);
  const contact = contactRatio(pinion.profile, wheel.profile, a, working, transverseModuleMm * Math.cos(transversePressureAngle));
  const clearance = (tip: Profile, root: Profile) => a - tip.tipDiameterMm / 2 - root.rootDiameterMm / 2;
  const [atPinion, atWheel] = [clearance(pinion.profile, wheel.profile), clearance(wheel.profile, pinion.profile)];
  const undercut = [pinion, wheel].some(({ cut, profile }) => cut.teeth < teethWithoutUndercut(cut, profile));
  return {
    ratio: wheel.cut.teeth / pinion.cut.teeth,
    referenceCentreDistanceMm: reference,
    centreDistanceMm: a,
    workingPressureAngleDeg: degrees(working),
    circumferentialBacklashMm: circumferential,
    normalBacklashMm: circumferential * Math.cos(working) * Math.cos(baseHelixAngle),
    backlashAtWheelDeg: degrees((2 * circumferential) / diameters[1]),
    transverseContactRatio: contact,
    tipClearancePinionMm: atPinion,
    tipClearanceWheelMm: atWheel,
    warnings: [
      ...(undercut ? (['undercut'] as const) : []),
      ...(circumferential < -1e-9 ? (['noBacklash'] as const) : []),
      ...(contact < 1 ? (['contactRatioBelowOne'] as const) : []),
      ...(Math.min(atPinion, atWheel) < 0 ? (['tipsTouchRoot'] as const) : []),
    ],
  };
}

/** Where the unthinned gears run without backlash: inv α_wt = inv α_t + 2 tan αₙ (x₁ + x₂)/(z₁ + z₂). */
function closeMesh(pinion: Cut, wheel: Cut, transversePressureAngle: number, reference: number): number {
  const shifts = (2 * Math.tan(pinion.pressureAngle) * (pinion.profileShift + wheel.profileShift)) / (pinion.teeth + wheel.teeth);
  const angle = inverseInvolute(involute(transversePressureAngle) + shifts);
  if (!Number.isFinite(angle)) {
    throw fail('impossibleGeometry', 'pinion.profileShift', { reason: 'teethNeverMeet' });
  }
  return (reference * Math.cos(transversePressureAngle)) / Math.cos(angle);
}

/** Transverse thickness on the working pitch circle. */
function thicknessOn({ cut, profile }: { cut: Cut; profile: Profile }, diameterMm: number, working: number): number {
  const atPitch = profile.thicknessMm / Math.cos(cut.helixAngle) / profile.pitchDiameterMm;
  return diameterMm * (atPitch + involute(profile.transversePressureAngle) - involute(working));
}

function contactRatio(pinion: Profile, wheel: Profile, a: number, working: number, baseModuleMm: number): number {
  const reach = ({ tipDiameterMm, baseDiameterMm }: Profile) => Math.sqrt(Math.max(0, tipDiameterMm ** 2 - baseDiameterMm ** 2)) / 2;
  return (reach(pinion) + reach(wheel) - a * Math.sin(working)) / (Math.PI * baseModuleMm);
}
