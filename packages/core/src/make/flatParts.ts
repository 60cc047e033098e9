import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { involute } from '../gear/cylindrical/involute.ts';
import { radians } from '../quantity/angle.ts';
import { MOST_MODULE_MM } from '../quantity/bounds.ts';
import { madeFaceWidth as faceWidthMm } from './outline.ts';
import { alongCurve, arc, reachOf, turned, type Point } from './polyline.ts';
import type { Face } from './solid.ts';

const moduleMm = z.number().min(0.02).max(MOST_MODULE_MM);
const angle = z.number().min(10).max(35).default(20);
const thinning = z.number().min(0).max(10).default(0);

export const internalPart = z.strictObject({
  kind: z.literal('internal'),
  teeth: z.int().min(12).max(400),
  normalModuleMm: moduleMm,
  pressureAngleDeg: angle,
  profileShift: z.number().min(-1).max(1).default(0),
  toothThinningMm: thinning,
  faceWidthMm,
  /** What is left of the ring outside its roots. */
  rimMm: z.number().min(0.1).max(500),
});

export const rackPart = z.strictObject({
  kind: z.literal('rack'),
  teeth: z.int().min(1).max(400),
  normalModuleMm: moduleMm,
  pressureAngleDeg: angle,
  toothThinningMm: thinning,
  faceWidthMm,
  /** From the roots to the back. */
  backMm: z.number().min(0.1).max(500),
});

/** Addendum and dedendum of the basic rack, in modules (ISO 53). */
const [ADDENDUM, DEDENDUM] = [1, 1.25];

/**
 * A ring with teeth inside: each space as wide as the tooth of an external gear of as many teeth, the tips no further in than the base
 * circle. Transverse plane, mm.
 *
 * Source: ISO 21771 (internal gear pairs).
 * @throws CoreFailure where the spaces meet at the roots
 */
export function internalFace(part: Omit<z.output<typeof internalPart>, 'kind'>, chordToleranceMm: number): Face {
  const { teeth, normalModuleMm: m, profileShift: x, toothThinningMm, rimMm } = part;
  const alpha = radians(part.pressureAngleDeg);
  const pitchMm = (m * teeth) / 2;
  const baseMm = pitchMm * Math.cos(alpha);
  const tipMm = Math.max(pitchMm - (ADDENDUM - x) * m, baseMm);
  const rootMm = pitchMm + (DEDENDUM + x) * m;
  const atPitch = (Math.PI / 2 + 2 * x * Math.tan(alpha) + toothThinningMm / m) / teeth + involute(alpha);
  const halfSpace = (radius: number) => atPitch - involute(Math.acos(Math.min(1, baseMm / radius)));
  const pitch = (2 * Math.PI) / teeth;
  if (halfSpace(rootMm) <= 0 || halfSpace(tipMm) >= pitch / 2)
    throw fail('impossibleGeometry', 'part.profileShift', { reason: 'teethCross' });
  const at = (radius: number, turn: number): Point => [radius * Math.sin(turn), radius * Math.cos(turn)];
  const left = alongCurve((t) => {
    const radius = tipMm + (rootMm - tipMm) * t;
    return at(radius, -halfSpace(radius));
  }, chordToleranceMm).points;
  const right = [...left].reverse().map(([px, py]): Point => [-px, py]);
  const upright = Math.PI / 2;
  const [root, tip] = [halfSpace(rootMm), halfSpace(tipMm)];
  const rootArc = arc(rootMm, [upright + root, upright - root], chordToleranceMm).points;
  const tipArc = arc(tipMm, [upright - tip, upright - pitch + tip], chordToleranceMm).points;
  const one = [...left.slice(0, -1), ...rootArc, ...right.slice(0, -1), ...tipArc];
  const hole = Array.from({ length: teeth }, (_, i) => turned(one, -i * pitch))
    .flat()
    .reverse();
  return { outline: arc(rootMm + rimMm, [0, 2 * Math.PI], chordToleranceMm).points, hole };
}

/** A straight rack: its pitch line on y = 0, a tooth's middle on x = 0; counter-clockwise, mm. @throws CoreFailure where its teeth are pointed */
export function rackFace(part: Omit<z.output<typeof rackPart>, 'kind'>): Face {
  const { teeth, normalModuleMm: m, toothThinningMm, backMm } = part;
  const slope = Math.tan(radians(part.pressureAngleDeg));
  const pitch = Math.PI * m;
  const half = pitch / 4 - toothThinningMm / 2;
  const [tip, root] = [half - ADDENDUM * m * slope, half + DEDENDUM * m * slope];
  if (tip <= 0) throw fail('impossibleGeometry', 'part.pressureAngleDeg', { reason: 'toothPointed' });
  if (root >= pitch / 2) throw fail('impossibleGeometry', 'part.pressureAngleDeg', { reason: 'teethCross' });
  const [top, foot, back] = [ADDENDUM * m, -DEDENDUM * m, -DEDENDUM * m - backMm];
  const over = Array.from({ length: teeth }, (_, i) => i * pitch)
    .reverse()
    .flatMap((x): Point[] => [
      [x + root, foot],
      [x + tip, top],
      [x - tip, top],
      [x - root, foot],
    ]);
  const [from, to] = [-pitch / 2, (teeth - 0.5) * pitch];
  return { outline: [[from, back], [to, back], [to, foot], ...over, [from, foot]] };
}

/** How much wider than its bore the hub of a sector is. */
const HUB_OVER_BORE = 1.8;

interface WholeGear extends Face {
  readonly teeth: number;
  readonly present: number;
}

/** The first teeth of a whole gear's outline, carried by a hub round its bore; the outline begins in a space. */
export function sectorFace({ outline, hole, teeth, present }: WholeGear): Face {
  const each = outline.length / teeth;
  const kept = outline.slice(0, Math.round(each * present) + 1);
  const roots = reachOf(outline).least;
  const hubMm = Math.min(0.9 * roots, hole ? HUB_OVER_BORE * reachOf(hole).most : roots / 4);
  const turn = ([x, y]: Point) => Math.atan2(y, x);
  const from = turn(kept.at(-1) as Point);
  // Round the hub's far side, back to the first tooth.
  const to = from + 2 * Math.PI - (2 * Math.PI * present) / teeth;
  const round = Array.from({ length: HUB_POINTS + 1 }, (_, i): Point => {
    const angleAt = from + ((to - from) * i) / HUB_POINTS;
    return [hubMm * Math.cos(angleAt), hubMm * Math.sin(angleAt)];
  });
  return { outline: [...kept, ...round], hole };
}

const HUB_POINTS = 48;
