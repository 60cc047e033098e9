import type { Point } from './polyline.ts';
import type { WormThread } from './wormThread.ts';

/** A worm in a plane beside its axis, as the rack that it is there. Lengths mm. */
export interface RackSection {
  /** How far the thread reaches towards the wheel. */
  readonly tipMm: number;
  /** Where along the worm a flank of one thread lies, at a distance from the axis towards the wheel. */
  readonly flankAt: (towardsMm: number, side: Side) => number;
}

export type Side = 1 | -1;

/** The worm cut by a plane across the wheel's axis, so far from the worm's own: turning moves it along, and changes nothing else. Null where it does not reach. */
export function rackSection(thread: WormThread, besideMm: number): RackSection | null {
  const { leadMm, tipRadiusMm, halfAngleAt, hand } = thread;
  if (Math.abs(besideMm) >= tipRadiusMm) return null;
  const way = hand === 'right' ? -1 : 1;
  return {
    tipMm: Math.sqrt(tipRadiusMm ** 2 - besideMm ** 2),
    flankAt: (towardsMm, side) => {
      const angle = way * Math.atan2(besideMm, towardsMm);
      return (leadMm / (2 * Math.PI)) * (angle + side * halfAngleAt(Math.hypot(towardsMm, besideMm)));
    },
  };
}

/** One space of the wheel in a plane: its bounds as angles from the line to the worm, clockwise, at radii from the root up. */
export interface WheelSpace {
  readonly radiiMm: readonly number[];
  readonly right: readonly number[];
  readonly left: readonly number[];
}

interface Cutting {
  readonly centreDistanceMm: number;
  readonly pitchRadiusMm: number;
  readonly tipRadiusMm: number;
  /** How many radii from root to tip. */
  readonly radii: number;
}

const FLANK_POINTS = 400;
/** The thread is followed a little below its root: contact at the wheel's tips lies there where it is narrow. */
const BELOW_ROOT = 0.85;

/**
 * What a rack that rolls on the wheel's pitch circle leaves of a space: the envelope of its flanks (the normal at the cutting point goes
 * through the pitch point), and the way of its corner where that takes more. Exact but for the steps along the flank.
 *
 * Source: Litvin, Gear Geometry: meshing of rack and gear; a helicoid that turns moves along its axis, so that in each plane it is one.
 */
export function wheelSpace(
  rack: RackSection,
  thread: WormThread,
  { centreDistanceMm: a, pitchRadiusMm, tipRadiusMm, radii }: Cutting,
): WheelSpace {
  const rootMm = a - rack.tipMm;
  const radiiMm = Array.from({ length: radii }, (_, i) => {
    const share = i / (radii - 1);
    // Closer together at the root, where the corner rounds it off.
    return rootMm + (tipRadiusMm - rootMm) * (0.35 * share + 0.65 * share ** 2);
  });
  const bound = (side: Side) => {
    const curve = conjugate(rack, side, { a, pitchRadiusMm, fromMm: BELOW_ROOT * thread.rootRadiusMm });
    const corner = rack.flankAt(rack.tipMm, side);
    return radiiMm.map(
      (radius) => side * Math.max(onCurve(curve, radius, side), cornerAt(radius, { rootMm, corner, pitchRadiusMm, side })),
    );
  };
  return { radiiMm, right: bound(1), left: bound(-1) };
}

type Polar = readonly [radius: number, angle: number];

/** The points that a flank cuts, each where its normal goes through the pitch point; angles clockwise from the line to the worm. */
function conjugate(
  rack: RackSection,
  side: Side,
  at: { readonly a: number; readonly pitchRadiusMm: number; readonly fromMm: number },
): readonly Polar[] {
  const { a, pitchRadiusMm, fromMm } = at;
  const stepMm = (rack.tipMm - fromMm) / FLANK_POINTS;
  return Array.from({ length: FLANK_POINTS + 1 }, (_, i): Polar => {
    const h = fromMm + i * stepMm;
    const along = rack.flankAt(h, side);
    const slope = (rack.flankAt(h + SMALL_MM, side) - rack.flankAt(h - SMALL_MM, side)) / (2 * SMALL_MM);
    const x = (a - h - pitchRadiusMm) / slope;
    const rolled = x - along;
    return [Math.hypot(x, a - h), Math.atan2(x, a - h) - rolled / pitchRadiusMm];
  });
}

const SMALL_MM = 1e-4;

/** How far a curve takes the space at a radius, on its side; less than anything where it does not come there. */
function onCurve(curve: readonly Polar[], radius: number, side: Side): number {
  let most = -Infinity;
  for (let i = 0; i + 1 < curve.length; i++) {
    const [[r0, b0], [r1, b1]] = [curve[i] as Polar, curve[i + 1] as Polar];
    if ((r0 - radius) * (r1 - radius) > 0 || r0 === r1) continue;
    most = Math.max(most, side * (b0 + ((b1 - b0) * (radius - r0)) / (r1 - r0)));
  }
  return most;
}

/** How far the corner of the rack's tip takes the space at a radius. */
function cornerAt(
  radius: number,
  { rootMm, corner, pitchRadiusMm, side }: { rootMm: number; corner: number; pitchRadiusMm: number; side: Side },
): number {
  const off = Math.sqrt(Math.max(0, radius ** 2 - rootMm ** 2));
  return Math.max(...[off, -off].map((x) => side * (Math.atan2(x, rootMm) - (x - corner) / pitchRadiusMm)));
}

/** How many points round off a tip or a root between its corners. */
const ON_LAND = 3;

/** A ring of teeth by their spaces, counter-clockwise as seen from above; mm. Of a few teeth the line from the root before them to that after. */
export function ringOfSpaces({ radiiMm, right, left }: WheelSpace, teeth: number, few?: number): readonly Point[] {
  const pitch = (2 * Math.PI) / teeth;
  const at = (radius: number, clockwise: number): Point => [radius * Math.sin(clockwise), radius * Math.cos(clockwise)];
  const between = (radius: number, from: number, to: number) =>
    Array.from({ length: ON_LAND }, (_, i) => at(radius, from + ((to - from) * (i + 1)) / (ON_LAND + 1)));
  const [root = 0, tip = 0] = [radiiMm[0], radiiMm.at(-1)];
  const down = (turn: number) => [...radiiMm.keys()].reverse().map((i) => at(radiiMm[i] ?? 0, turn + (left[i] ?? 0)));
  const foot = (turn: number) => between(root, turn + (left[0] ?? 0), turn + (right[0] ?? 0));
  const up = (turn: number) => radiiMm.map((radius, i) => at(radius, turn + (right[i] ?? 0)));
  const over = (turn: number) => between(tip, turn + (right.at(-1) ?? 0), turn + pitch + (left.at(-1) ?? 0));
  const turns = Array.from({ length: few ?? teeth }, (_, i) => i * pitch);
  const around =
    few === undefined
      ? turns.flatMap((turn) => [...down(turn), ...foot(turn), ...up(turn), ...over(turn)])
      : [...foot(0), ...turns.flatMap((turn) => [...up(turn), ...over(turn), ...down(turn + pitch), ...foot(turn + pitch)])];
  return around.reverse();
}
