import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { bevelDimensions } from '../gear/bevel/dimensions.ts';
import { radians } from '../quantity/angle.ts';
import { MOST_MODULE_MM } from '../quantity/bounds.ts';
import { checkBore, type Hole } from './bore.ts';
import { loft, type Corner, type Solid } from './loft.ts';

export const bevelPart = z.strictObject({
  kind: z.literal('bevel'),
  member: z.enum(['pinion', 'wheel']),
  pinionTeeth: z.int().min(6).max(200),
  wheelTeeth: z.int().min(6).max(200),
  outerModuleMm: z.number().min(0.1).max(MOST_MODULE_MM),
  shaftAngleDeg: z.number().min(20).max(150).default(90),
  pressureAngleDeg: z.number().min(10).max(30).default(20),
  faceWidthMm: z.number().min(0.5).max(1000),
  /** By how much its teeth are thinner at the outer pitch circle, for backlash. */
  toothThinningMm: z.number().min(0).max(5).default(0),
});
export type BevelPart = z.output<typeof bevelPart>;

/** Addendum and dedendum at the outer end, in modules (ISO 23509, straight bevel gears, uniform depth proportions of the basic crown gear). */
const [ADDENDUM, DEDENDUM] = [1, 1.25];

/** A straight bevel gear about its apex. Angles radians from the axis, lengths mm along the cone. */
export interface BevelGeometry {
  readonly teeth: number;
  readonly pitchCone: number;
  readonly baseCone: number;
  readonly faceCone: number;
  readonly rootCone: number;
  readonly outerMm: number;
  readonly innerMm: number;
  /** Half the angle of a tooth round the axis, on a cone. */
  readonly halfAngleAt: (cone: number) => number;
}

/**
 * A spherical involute: how far round the axis the string has come that unwinds from a base cone, at a cone outside it; radians.
 * @example sphericalInvolute(base, base) // 0
 */
export function sphericalInvolute(cone: number, baseCone: number): number {
  if (cone <= baseCone) return 0;
  const unwound = Math.acos(Math.min(1, Math.cos(cone) / Math.cos(baseCone))) / Math.sin(baseCone);
  return unwound - Math.acos(Math.min(1, Math.tan(baseCone) / Math.tan(cone)));
}

/**
 * One of a pair of straight bevel gears whose teeth are spherical involutes, sin δ_b = sin δ · cos α; without shift, a tooth as thick as
 * a space at the pitch cone.
 *
 * Sources: ISO 23509 (cones, proportions); Litvin, Gear Geometry (spherical involute).
 * @throws CoreFailure where there is no such pair, or the face is longer than the cone
 * @example 20 and 40 teeth of module 3 → pitch cones 26.57° and 63.43°, 67.08 mm
 */
export function bevelGeometry(part: Omit<BevelPart, 'kind'>, path = 'part'): BevelGeometry {
  const { member, outerModuleMm: m, pressureAngleDeg, faceWidthMm, toothThinningMm } = part;
  const { pinionTeeth, wheelTeeth, shaftAngleDeg } = part;
  const dimensions = bevelDimensions({ pinionTeeth, wheelTeeth, outerModuleMm: m, shaftAngleDeg, pressureAngleDeg, faceWidthMm });
  const teeth = member === 'pinion' ? pinionTeeth : wheelTeeth;
  const pitchCone = radians(member === 'pinion' ? dimensions.pinionConeAngleDeg : dimensions.wheelConeAngleDeg);
  const outerMm = dimensions.outerConeDistanceMm;
  const baseCone = Math.asin(Math.sin(pitchCone) * Math.cos(radians(pressureAngleDeg)));
  const faceCone = pitchCone + Math.atan((ADDENDUM * m) / outerMm);
  const rootCone = pitchCone - Math.atan((DEDENDUM * m) / outerMm);
  const atPitch = (Math.PI / 2 - toothThinningMm / m) / teeth + sphericalInvolute(pitchCone, baseCone);
  const halfAngleAt = (cone: number) => atPitch - sphericalInvolute(cone, baseCone);
  if (halfAngleAt(faceCone) <= 0) throw fail('impossibleGeometry', `${path}.pressureAngleDeg`, { reason: 'toothPointed' });
  return { teeth, pitchCone, baseCone, faceCone, rootCone, outerMm, innerMm: outerMm - faceWidthMm, halfAngleAt };
}

interface BevelBody {
  readonly hole: Hole | null;
  /** Its first few teeth alone, on a piece of its rim. */
  readonly fewTeeth?: number | undefined;
}

const FLANK_POINTS = 16;
const ON_LAND = 4;

/** The teeth of a bevel as they lie round its axis: cone and angle of each corner, counter-clockwise. */
export function bevelSection(
  { teeth, rootCone, baseCone, faceCone, halfAngleAt }: BevelGeometry,
  few = teeth,
): readonly (readonly [cone: number, angle: number])[] {
  const pitch = (2 * Math.PI) / teeth;
  // Below the base cone a flank is a plane through the axis, and needs no corners of its own.
  const from = Math.max(rootCone, baseCone);
  const bent = Array.from({ length: FLANK_POINTS + 1 }, (_, i) => from + ((faceCone - from) * i) / FLANK_POINTS);
  const cones = rootCone < from ? [rootCone, ...bent] : bent;
  const land = (cone: number, from: number, to: number) =>
    Array.from({ length: ON_LAND }, (_, i) => [cone, from + ((to - from) * (i + 1)) / (ON_LAND + 1)] as const);
  const [tip, root] = [halfAngleAt(faceCone), halfAngleAt(rootCone)];
  const around = Array.from({ length: few }, (_, k) => k * pitch).flatMap((turn) => [
    ...cones.map((cone) => [cone, turn - halfAngleAt(cone)] as const),
    ...land(faceCone, turn - tip, turn + tip),
    ...[...cones].reverse().map((cone) => [cone, turn + halfAngleAt(cone)] as const),
    ...land(rootCone, turn + root, turn + pitch - root),
  ]);
  if (few === teeth) return around;
  // Back under the few, as far in as half the root cone.
  const [last, first] = [around.at(-1)?.[1] ?? 0, around[0]?.[1] ?? 0];
  const rim = Array.from({ length: FLANK_POINTS }, (_, i) => [rootCone / 2, last + ((first - last) * i) / (FLANK_POINTS - 1)] as const);
  return [...around, ...rim];
}

/** A bevel as a closed body, its apex at the origin, between its two back cones; mm. @throws CoreFailure where the bore reaches the roots of its small end */
export function bevelSolid(part: Omit<BevelPart, 'kind'>, { hole, fewTeeth }: BevelBody): Solid {
  const bevel = bevelGeometry(part);
  const { pitchCone, rootCone, innerMm, outerMm } = bevel;
  // On a back cone, square to the pitch cone.
  const distance = (along: number, cone: number) => along / Math.cos(cone - pitchCone);
  const leastMm = distance(innerMm, rootCone) * Math.sin(rootCone);
  checkBore(hole, leastMm);
  const section = bevelSection(bevel, fewTeeth);
  const ring = (along: number) =>
    section.map(([cone, angle]): Corner => {
      const radius = distance(along, cone);
      return [radius * Math.sin(cone) * Math.cos(angle), radius * Math.sin(cone) * Math.sin(angle), radius * Math.cos(cone)];
    });
  const foot = (along: number) => distance(along, rootCone) * Math.cos(rootCone);
  return loft({
    rings: [ring(innerMm), ring(outerMm)],
    hole: fewTeeth === undefined ? hole?.points : undefined,
    holeFromTo: [foot(innerMm), foot(outerMm)],
  });
}
