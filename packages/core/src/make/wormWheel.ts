import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { checkBore, type Hole } from './bore.ts';
import { loft, type Corner, type Hub, type Solid } from './loft.ts';
import type { Point } from './polyline.ts';
import { rackSection, ringOfSpaces, wheelSpace, type WheelSpace } from './wheelSections.ts';
import { wormPart, wormThread, type WormThread } from './wormThread.ts';

export const WHEEL_FORMS = ['throated', 'straight'] as const;

export const wormWheelPart = z.strictObject({
  kind: z.literal('wormWheel'),
  worm: wormPart.omit({ kind: true, lengthMm: true }),
  wheelTeeth: z.int().min(6).max(400),
  profileShift: z.number().min(-1).max(1).default(0),
  faceWidthMm: z.number().min(0.5).max(1000),
  form: z.enum(WHEEL_FORMS),
  backlashMm: z.number().min(0).max(5),
});
export type WormWheelPart = z.output<typeof wormWheelPart>;

/** A hob's teeth reach so much deeper than the worm's, for the clearance; modules. */
const HOB_HIGHER = 0.25;
/** The outer cylinder of a throated wheel stands so much over its throat, modules. */
const RIM_OVER_THROAT = 0.5;
const RADII = 20;
const MOST_SLICES = 400;
/** A hob's tips do not reach the wheel any more where its round turns away; so much of it is used. */
const USED = 0.9;

/** A wheel in the plane that its worm cuts it in, slice by slice. */
export interface WheelGeometry {
  readonly worm: WormThread;
  readonly centreDistanceMm: number;
  readonly pitchRadiusMm: number;
  /** Over the tips in the middle of the face. */
  readonly throatRadiusMm: number;
  readonly rootRadiusMm: number;
  readonly teeth: number;
  /** The space of the wheel so far from the middle of its face. */
  readonly spaceAt: (besideMm: number) => WheelSpace;
}

/**
 * A worm's wheel as a hob like the worm would cut it: tips a quarter of a module higher, threads thicker by the backlash. In every plane
 * across the wheel the hob is a rack, and what it leaves of a space is that rack's envelope.
 * @throws CoreFailure where the face is wider than the hob reaches round it, or the worm cannot be
 */
export function wheelGeometry(part: Omit<WormWheelPart, 'kind'>, path = 'part'): WheelGeometry {
  const { worm: asked, wheelTeeth, profileShift, faceWidthMm, form, backlashMm } = part;
  const m = asked.axialModuleMm;
  const worm = wormThread(asked, {}, `${path}.worm`);
  const hob = wormThread(asked, { higherMm: HOB_HIGHER * m, thickerMm: backlashMm }, `${path}.worm`);
  const pitchRadiusMm = (m * wheelTeeth) / 2;
  const centreDistanceMm = worm.pitchRadiusMm + pitchRadiusMm + profileShift * m;
  const throatRadiusMm = pitchRadiusMm + (1 + profileShift) * m;
  /** Round the worm, where the throat's tips are. */
  const gorgeMm = centreDistanceMm - throatRadiusMm;
  const mostMm = 2 * USED * hob.tipRadiusMm;
  if (faceWidthMm > mostMm)
    throw fail('impossibleGeometry', `${path}.faceWidthMm`, { reason: 'faceBeyondThroat', mostMm, given: faceWidthMm });
  const rimMm = throatRadiusMm + RIM_OVER_THROAT * m;
  return {
    worm,
    centreDistanceMm,
    pitchRadiusMm,
    throatRadiusMm,
    rootRadiusMm: centreDistanceMm - hob.tipRadiusMm,
    teeth: wheelTeeth,
    spaceAt: (besideMm) => {
      const rack = rackSection(hob, besideMm);
      if (!rack) throw fail('impossibleGeometry', `${path}.faceWidthMm`, { reason: 'faceBeyondThroat', mostMm, given: faceWidthMm });
      // Beside the gorge the throat has come out to the rim.
      const throatMm = Math.abs(besideMm) < gorgeMm ? centreDistanceMm - Math.sqrt(gorgeMm ** 2 - besideMm ** 2) : rimMm;
      const tipRadiusMm = form === 'straight' ? throatRadiusMm : Math.min(rimMm, throatMm);
      return withTeeth(wheelSpace(rack, hob, { centreDistanceMm, pitchRadiusMm, tipRadiusMm, radii: RADII }), wheelTeeth);
    },
  };
}

/** No tooth is thinner than this at its tip, mm: beyond it two spaces would meet, and the tooth ends in an edge. */
const EDGE_MM = 0.001;

/** Spaces so wide at the face's ends that they would meet over a tooth are held back to its edge. */
function withTeeth(space: WheelSpace, teeth: number): WheelSpace {
  const pitch = (2 * Math.PI) / teeth;
  const over = space.radiiMm.map((radius, i) => Math.max(0, (space.right[i] ?? 0) - (space.left[i] ?? 0) - pitch + EDGE_MM / radius));
  return {
    radiiMm: space.radiiMm,
    right: space.right.map((angle, i) => angle - (over[i] ?? 0) / 2),
    left: space.left.map((angle, i) => angle + (over[i] ?? 0) / 2),
  };
}

interface WheelBody {
  readonly hole: Hole | null;
  readonly chordToleranceMm: number;
  /** Its first few teeth alone, on a piece of its rim; all of it where it is not said. */
  readonly fewTeeth?: number | undefined;
  readonly hub?: Hub | undefined;
}

/** The wheel as a closed body along z, the middle of its face at half its width; mm. @throws CoreFailure where the bore reaches the roots */
export function wormWheelSolid(part: Omit<WormWheelPart, 'kind'>, { hole, chordToleranceMm, fewTeeth, hub }: WheelBody): Solid {
  const wheel = wheelGeometry(part);
  const { faceWidthMm } = part;
  checkBore(hole, wheel.rootRadiusMm);
  const stepMm = Math.sqrt(4 * chordToleranceMm * wheel.worm.tipRadiusMm);
  const slices = Math.min(MOST_SLICES, Math.max(4, Math.ceil(faceWidthMm / stepMm)));
  const innerMm = Math.max(hole?.reachMm ?? 0, wheel.rootRadiusMm / 2);
  const rings = Array.from({ length: slices + 1 }, (_, i) => {
    const z = (faceWidthMm * i) / slices;
    const ring = ringOfSpaces(wheel.spaceAt(z - faceWidthMm / 2), wheel.teeth, fewTeeth);
    const closed = fewTeeth === undefined ? ring : [...ring, ...rimOf(ring, innerMm)];
    return closed.map(([x, y]): Corner => [x, y, z]);
  });
  return loft({ rings, hub, hole: fewTeeth === undefined ? hole?.points : undefined });
}

const RIM_POINTS = 12;

/** The way back under a few teeth: from the last of them to the first, round the axis. */
function rimOf(ring: readonly Point[], innerMm: number): readonly Point[] {
  const angle = ([x, y]: Point) => Math.atan2(y, x);
  const [from, to] = [angle(ring.at(-1) as Point), angle(ring[0] as Point)];
  // A ring goes counter-clockwise; its way back is the other way round, and never across the cut of the angles: few teeth stand on top.
  return Array.from({ length: RIM_POINTS + 1 }, (_, i): Point => {
    const at = from + ((to - from) * i) / RIM_POINTS;
    return [innerMm * Math.cos(at), innerMm * Math.sin(at)];
  });
}
