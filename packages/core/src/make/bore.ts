import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { lengthMm } from '../quantity/bounds.ts';
import { arc, type Point } from './polyline.ts';

export const MADE_BORES = ['round', 'dFlat', 'key', 'hexagon', 'square', 'spline', 'none'] as const;
/** Hexagon and square by the width across their flats; a D by what is left across its flat; a keyway by its width and its depth beyond the round. */
export const boreGiven = z.strictObject({
  shape: z.enum(MADE_BORES),
  sizeMm: lengthMm.optional(),
  flatMm: lengthMm.optional(),
  keyWidthMm: lengthMm.optional(),
  keyDepthMm: lengthMm.optional(),
  /** A straight-sided spline: over the bottoms of its grooves, over its lands, and how wide a groove is. */
  teeth: z.int().min(3).max(60).optional(),
  majorMm: lengthMm.optional(),
  minorMm: lengthMm.optional(),
  toothMm: lengthMm.optional(),
});
export type BoreSpec = z.infer<typeof boreGiven>;

export interface Hole {
  readonly points: readonly Point[];
  readonly deviationMm: number;
  /** How far it reaches from the centre. */
  readonly reachMm: number;
  /** The width of its narrowest place: a tool wider than that does not get in. */
  readonly narrowestMm: number;
}

/** The hole of a bore, counter-clockwise, its flat or key upwards; null for none. @throws CoreFailure where a size is missing or does not go with the round */
export function holeOf(bore: BoreSpec, toleranceMm: number): Hole | null {
  const { shape, sizeMm, flatMm, keyWidthMm, keyDepthMm } = bore;
  if (shape === 'none') return null;
  if (shape === 'spline') return splined(bore, toleranceMm);
  const size = need(sizeMm, 'sizeMm');
  const r = size / 2;
  switch (shape) {
    case 'round': {
      const round = arc(r, [0, 2 * Math.PI], toleranceMm);
      return { ...round, reachMm: r, narrowestMm: size };
    }
    case 'hexagon':
      return flats(6, r);
    case 'square':
      return flats(4, r);
    case 'dFlat': {
      const flat = need(flatMm, 'flatMm');
      if (flat <= r || flat >= size) throw fail('outOfRange', 'bore.flatMm', { minimum: r, maximum: size, given: flat });
      const half = Math.acos((flat - r) / r);
      const round = arc(r, [Math.PI / 2 + half, 2.5 * Math.PI - half], toleranceMm);
      const end = Math.PI / 2 - half;
      return {
        points: [...round.points, [r * Math.cos(end), r * Math.sin(end)]],
        deviationMm: round.deviationMm,
        reachMm: r,
        narrowestMm: flat,
      };
    }
    case 'key': {
      const [width, depth] = [need(keyWidthMm, 'keyWidthMm'), need(keyDepthMm, 'keyDepthMm')];
      if (width >= size) throw fail('outOfRange', 'bore.keyWidthMm', { minimum: 0, maximum: size, given: width });
      const half = Math.asin(width / size);
      const round = arc(r, [Math.PI / 2 + half, 2.5 * Math.PI - half], toleranceMm);
      const top = r + depth;
      const foot = r * Math.cos(half);
      return {
        points: [...round.points, [width / 2, foot], [width / 2, top], [-width / 2, top]],
        deviationMm: round.deviationMm,
        reachMm: Math.hypot(width / 2, top),
        narrowestMm: width,
      };
    }
  }
}

/** Grooves with straight sides in a round: the teeth of its shaft are a groove wide. */
function splined({ teeth, majorMm, minorMm, toothMm }: BoreSpec, toleranceMm: number): Hole {
  const [count, most, least, width] = [
    need(teeth, 'teeth'),
    need(majorMm, 'majorMm') / 2,
    need(minorMm, 'minorMm') / 2,
    need(toothMm, 'toothMm'),
  ];
  if (least >= most) throw fail('outOfRange', 'bore.minorMm', { minimum: 0, maximum: 2 * most, given: 2 * least });
  const pitch = (2 * Math.PI) / count;
  const [outer, inner] = [Math.asin(Math.min(1, width / 2 / most)), Math.asin(Math.min(1, width / 2 / least))];
  // Between two grooves a land must be left.
  const widest = 2 * least * Math.sin(pitch / 2);
  if (width >= widest) throw fail('outOfRange', 'bore.toothMm', { minimum: 0, maximum: widest, given: width });
  const round = Array.from({ length: count }, (_, i) => Math.PI / 2 + i * pitch).flatMap((middle) => {
    const groove = arc(most, [middle - outer, middle + outer], toleranceMm).points;
    const land = arc(least, [middle + inner, middle + pitch - inner], toleranceMm).points;
    const end: Point = [most * Math.cos(middle + outer), most * Math.sin(middle + outer)];
    const last: Point = [least * Math.cos(middle + pitch - inner), least * Math.sin(middle + pitch - inner)];
    return [...groove, end, ...land, last];
  });
  return { points: round, deviationMm: toleranceMm, reachMm: most, narrowestMm: Math.min(width, 2 * least) };
}

/** @throws CoreFailure where a bore reaches the roots */
export function checkBore(hole: Hole | null, rootRadiusMm: number): void {
  if (hole && hole.reachMm >= rootRadiusMm)
    throw fail('impossibleGeometry', 'bore.sizeMm', { reason: 'boreThroughRoots', mostMm: 2 * rootRadiusMm });
}

function flats(count: number, inradius: number): Hole {
  const reachMm = inradius / Math.cos(Math.PI / count);
  const points = Array.from({ length: count }, (_, i): Point => {
    const angle = Math.PI / 2 + ((2 * i + 1) * Math.PI) / count;
    return [reachMm * Math.cos(angle), reachMm * Math.sin(angle)];
  });
  return { points, deviationMm: 0, reachMm, narrowestMm: 2 * inradius };
}

function need(value: number | undefined, field: string): number {
  if (value === undefined) throw fail('missing', `bore.${field}`);
  return value;
}
