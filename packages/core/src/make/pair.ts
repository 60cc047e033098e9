import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { inverseInvolute, involute } from '../gear/cylindrical/involute.ts';
import { cutOf } from '../gear/cylindrical/profile.ts';
import { generatedTooth } from '../gear/cylindrical/generated.ts';
import { moduleFrom } from '../gear/moduleFrom.ts';
import { lengthMm } from '../quantity/bounds.ts';
import { bevelGeometry, bevelSection, type BevelPart } from './bevelSolid.ts';
import { madePart, type MadePart } from './madeParts.ts';
import { madeFor } from './outline.ts';
import { wormThread } from './wormThread.ts';
import { wheelGeometry, type WormWheelPart } from './wormWheel.ts';

export const pairInput = z.strictObject({
  /** The machine family that they are for; none where they are for no machine at all. */
  family: madeFor,
  a: madePart,
  b: madePart,
  /** Between the axes; as the pair is cut for where it is not said. Of bevels it is none. */
  centreDistanceMm: lengthMm.optional(),
});
export type PairInput = z.output<typeof pairInput>;

export const pairOutput = z.object({
  /** What they can be turned against each other at the pitch circle, the least through a pitch; mm. */
  backlashMm: z.number(),
  /** How far they would run into each other, mm. */
  interferenceMm: z.number(),
  /** How much of the flanks comes to bear within a pitch, of what lies in mesh. */
  contactShare: z.number(),
  /** Where a flank of `b` comes nearest: across its face, from its pitch circle out, and how near; mm. */
  pattern: z.array(z.tuple([z.number(), z.number(), z.number()])),
});
export type MadePair = z.infer<typeof pairOutput>;

/** A point of a flank of one space: which side of it, where on the face, how far out. */
interface FlankSpot {
  readonly side: 1 | -1;
  readonly acrossMm: number;
  readonly outMm: number;
  /** How far it is from the other gear's flank in a position of the pair; null where it is not in mesh there. mm */
  readonly gapAt: (phase: number) => number | null;
}

const PHASES = 48;
/** A flank that comes so near bears: the thickness of marking blue. mm */
const BEARS_MM = 0.01;

/**
 * A pair that would be made, turned through one pitch in so many steps: backlash, interference and where the flanks bear. Of a worm and
 * its wheel, two spur or helical gears, a pair of straight bevels.
 * @throws CoreFailure where the two do not run together
 */
export function makePair({ a, b, centreDistanceMm }: PairInput): MadePair {
  const spots = spotsOf(a, b, centreDistanceMm) ?? spotsOf(b, a, centreDistanceMm);
  if (!spots) throw fail('invalid', 'b', { reason: 'noSuchPair' });
  const gaps = spots.map((spot) => ({ ...spot, gaps: Array.from({ length: PHASES }, (_, i) => spot.gapAt(i / PHASES)) }));
  const nearest = (side: 1 | -1, phase: number) =>
    gaps.reduce((least, spot) => (spot.side === side ? Math.min(least, spot.gaps[phase] ?? Infinity) : least), Infinity);
  const phases = Array.from({ length: PHASES }, (_, i) => ({ right: nearest(1, i), left: nearest(-1, i) }));
  const between = phases.map(({ right, left }) => right + left).filter(Number.isFinite);
  if (between.length === 0) throw fail('impossibleGeometry', 'centreDistanceMm', { reason: 'teethNeverMeet' });
  const least = Math.min(...between);
  const inMesh = gaps.filter(({ side, gaps: list }) => side === 1 && list.some((gap) => gap !== null));
  const pattern = inMesh.map(({ acrossMm, outMm, gaps: list }): [number, number, number] => {
    const nearestMm = list.reduce<number>(
      (most, gap, i) => (gap === null ? most : Math.min(most, gap - (phases[i]?.right ?? 0))),
      Infinity,
    );
    return [acrossMm, outMm, Math.max(0, nearestMm)];
  });
  return {
    backlashMm: Math.max(0, least),
    interferenceMm: Math.max(0, -least),
    contactShare: pattern.length === 0 ? 0 : pattern.filter(([, , gap]) => gap <= BEARS_MM).length / pattern.length,
    pattern,
  };
}

function spotsOf(a: MadePart, b: MadePart, centreDistanceMm: number | undefined): readonly FlankSpot[] | null {
  if (a.kind === 'worm' && b.kind === 'wormWheel') return wormSpots(a, b, centreDistanceMm);
  if (a.kind === 'bevel' && b.kind === 'bevel') return bevelSpots(a, b);
  if (isCylindrical(a) && isCylindrical(b)) return cylindricalSpots(a, b, centreDistanceMm);
  return null;
}

const SIDES = [1, -1] as const;
/** Spaces beside the one that is looked at that can be in mesh at once. */
const BESIDE = [-3, -2, -1, 0, 1, 2, 3] as const;
const ACROSS = 11;

/** The least gap of those beside each other that are in mesh; null where none is. */
function nearestOf(gapBeside: (k: number) => number | null): number | null {
  let least: number | null = null;
  for (const k of BESIDE) {
    const gap = gapBeside(k);
    if (gap !== null) least = least === null ? gap : Math.min(least, gap);
  }
  return least;
}

/** Points of the wheel's spaces against the worm itself, both turned in their ratio, in space. */
function wormSpots(
  a: Extract<MadePart, { kind: 'worm' }>,
  wheelPart: WormWheelPart,
  asked: number | undefined,
): readonly FlankSpot[] | null {
  const thread = wormThread(a, {}, 'a');
  const wheel = wheelGeometry(wheelPart, 'b');
  const own = wheel.worm;
  if (own.hand !== thread.hand || own.starts !== thread.starts || Math.abs(own.axialPitchMm - thread.axialPitchMm) > 1e-6) return null;
  const distanceMm = asked ?? wheel.centreDistanceMm;
  const { leadMm, starts, tipRadiusMm, halfAngleAt } = thread;
  const pitch = (2 * Math.PI) / wheel.teeth;
  const way = thread.hand === 'right' ? 1 : -1;
  return Array.from({ length: ACROSS }, (_, i) => wheelPart.faceWidthMm * (i / (ACROSS - 1) - 0.5) * 0.98).flatMap((besideMm) => {
    const space = wheel.spaceAt(besideMm);
    return SIDES.flatMap((side) =>
      space.radiiMm.map((radius, i): FlankSpot => {
        const at = (side === 1 ? space.right : space.left)[i] ?? 0;
        return {
          side,
          acrossMm: besideMm,
          outMm: radius - wheel.pitchRadiusMm,
          gapAt: (phase) =>
            nearestOf((k) => {
              const turned = at + (k + phase) * pitch;
              // In the worm's own axes: towards the wheel, beside, along; the worm has turned by as many teeth as the wheel.
              const [towards, along] = [distanceMm - radius * Math.cos(turned), radius * Math.sin(turned)];
              const off = Math.hypot(towards, besideMm);
              if (off >= tipRadiusMm || Math.cos(turned) <= 0) return null;
              const angle = way * Math.atan2(-besideMm, towards) - (2 * Math.PI * (along - phase * thread.axialPitchMm)) / leadMm;
              // Of so many threads the one that stands in this space.
              const threadPitch = (2 * Math.PI) / starts;
              return (leadMm / (2 * Math.PI)) * (pitchFrom(-side * angle, threadPitch) - halfAngleAt(off));
            }),
        };
      }),
    );
  });
}

type Cylindrical = Extract<MadePart, { kind: 'spur' | 'helical' | 'sector' }>;
const isCylindrical = (part: MadePart): part is Cylindrical => part.kind === 'spur' || part.kind === 'helical' || part.kind === 'sector';

/** The transverse plane of one tooth: half its angle at a radius, and where it begins and ends. mm, radians */
function transverse(part: Cylindrical, path: string) {
  const { kind: _, faceWidthMm, ...gear } = part;
  const cut = cutOf({ helixAngleDeg: 0, ...gear, normalModuleMm: moduleFrom(part, path) });
  const tooth = generatedTooth(cut);
  const points = [
    ...Array.from({ length: 40 }, (_, i) => tooth.fillet(i / 40)),
    ...Array.from({ length: 61 }, (_, i) => tooth.flank(i / 60)),
  ];
  const halfAngleAt = (radius: number) => {
    for (let i = 0; i + 1 < points.length; i++) {
      const [p, q] = [points[i], points[i + 1]];
      if (p && q && radius >= p.radiusMm && radius <= q.radiusMm && q.radiusMm > p.radiusMm)
        return p.halfAngle + ((q.halfAngle - p.halfAngle) * (radius - p.radiusMm)) / (q.radiusMm - p.radiusMm);
    }
    return radius < tooth.profile.rootDiameterMm / 2 ? Math.PI / cut.teeth : (points[0]?.halfAngle ?? 0);
  };
  return { cut, profile: tooth.profile, points, halfAngleAt, tipRadiusMm: tooth.tipRadiusMm, faceWidthMm };
}

/** Two gears beside each other in their transverse plane: teeth of b against those of a. */
function cylindricalSpots(a: Cylindrical, b: Cylindrical, asked: number | undefined): readonly FlankSpot[] | null {
  const [first, second] = [transverse(a, 'a'), transverse(b, 'b')];
  const [p, q] = [first.cut, second.cut];
  const alike = Math.abs(p.normalModuleMm - q.normalModuleMm) < 1e-6 && Math.abs(p.pressureAngle - q.pressureAngle) < 1e-6;
  // Beside each other one winds right, the other left.
  if (!alike || Math.abs(p.helixAngle + q.helixAngle) > 1e-6) return null;
  const at = first.profile.transversePressureAngle;
  const working = inverseInvolute(involute(at) + (2 * (p.profileShift + q.profileShift) * Math.tan(p.pressureAngle)) / (p.teeth + q.teeth));
  const pitchRadii = first.profile.pitchDiameterMm / 2 + second.profile.pitchDiameterMm / 2;
  const distanceMm = asked ?? (pitchRadii * Math.cos(at)) / Math.cos(working);
  const [pitchA, pitchB] = [(2 * Math.PI) / p.teeth, (2 * Math.PI) / q.teeth];
  // How far a can be turned, at the circle on which it rolls.
  const rollingMm = (distanceMm * p.teeth) / (p.teeth + q.teeth);
  const faceMm = Math.min(first.faceWidthMm, second.faceWidthMm);
  return SIDES.flatMap((side) =>
    second.points.map(({ radiusMm, halfAngle }): FlankSpot => ({
      side,
      acrossMm: faceMm / 2,
      outMm: radiusMm - second.profile.pitchDiameterMm / 2,
      gapAt: (phase) =>
        nearestOf((k) => {
          // b stands beside a on x; its tooth looks back at a, and a turns the other way.
          const turned = Math.PI - (k + phase) * pitchB + side * halfAngle;
          const [x, y] = [distanceMm + radiusMm * Math.cos(turned), radiusMm * Math.sin(turned)];
          const off = Math.hypot(x, y);
          if (off >= first.tipRadiusMm) return null;
          const angle = Math.atan2(y, x) - (phase + 0.5) * pitchA;
          const fromMiddle = angle - pitchA * Math.round(angle / pitchA);
          // What looks to one side faces the tooth on that side of its space.
          const facing = side * fromMiddle;
          return rollingMm * (pitchFrom(facing, pitchA) - first.halfAngleAt(off));
        }),
    })),
  );
}

/** An angle from the middle of the tooth on one side of a space, at most a pitch. */
const pitchFrom = (angle: number, pitch: number) => angle - pitch * Math.floor(angle / pitch + 0.25);

/** Two straight bevels about one apex, on a sphere in the middle of the face: teeth of b against those of a. */
function bevelSpots(a: BevelPart, b: BevelPart): readonly FlankSpot[] | null {
  const same = (['pinionTeeth', 'wheelTeeth', 'outerModuleMm', 'shaftAngleDeg', 'pressureAngleDeg'] as const).every(
    (name) => a[name] === b[name],
  );
  if (!same || a.member === b.member) return null;
  const [first, second] = [bevelGeometry(a, 'a'), bevelGeometry(b, 'b')];
  const shafts = first.pitchCone + second.pitchCone;
  const middleMm = (Math.max(first.innerMm, second.innerMm) + Math.min(first.outerMm, second.outerMm)) / 2;
  const rollingMm = middleMm * Math.sin(first.pitchCone);
  const [pitchA, pitchB] = [(2 * Math.PI) / first.teeth, (2 * Math.PI) / second.teeth];
  const tooth = bevelSection(second, 1).filter(([cone]) => cone >= second.rootCone);
  return tooth.map(([cone, angle]): FlankSpot => {
    const side = angle > 0 ? 1 : -1;
    return {
      side,
      acrossMm: middleMm,
      outMm: middleMm * (cone - second.pitchCone),
      gapAt: (phase) =>
        nearestOf((k) => {
          const turned = Math.PI - (k + phase) * pitchB + angle;
          // From b's axes, its own along z, to a's, which lies at the shaft angle to it in the plane of x.
          const [x, y, z] = [Math.sin(cone) * Math.cos(turned), Math.sin(cone) * Math.sin(turned), Math.cos(cone)];
          const [ax, az] = [x * Math.cos(shafts) + z * Math.sin(shafts), z * Math.cos(shafts) - x * Math.sin(shafts)];
          const off = Math.acos(Math.max(-1, Math.min(1, az)));
          if (off >= first.faceCone) return null;
          const round = Math.atan2(y, ax) - (phase + 0.5) * pitchA;
          const fromMiddle = round - pitchA * Math.round(round / pitchA);
          const facing = side * fromMiddle;
          return rollingMm * (pitchFrom(facing, pitchA) - first.halfAngleAt(Math.max(off, first.rootCone)));
        }),
    };
  });
}
