import { fail } from '../failure/CoreFailure.ts';
import { checkBore, type Hole } from './bore.ts';
import { loft, type Corner, type Solid } from './loft.ts';
import { alongCurve, arc, turned, type Point } from './polyline.ts';
import type { WormThread } from './wormThread.ts';

interface WormBody {
  readonly lengthMm: number;
  readonly hole: Hole | null;
  readonly chordToleranceMm: number;
}

/** So much of a pitch the thread takes to run out at either end. */
const RUNOUT_PITCHES = 0.5;
const MOST_LAYERS = 4000;

/** The plane across a worm's axis: every thread's flanks, tip and root, counter-clockwise; a thread's middle on +x. mm */
export function wormSection(thread: WormThread, chordToleranceMm: number): readonly Point[] {
  const { starts, rootRadiusMm, tipRadiusMm, halfAngleAt } = thread;
  const pitch = (2 * Math.PI) / starts;
  const at = (radius: number, angle: number): Point => [radius * Math.cos(angle), radius * Math.sin(angle)];
  // Below an involute's base it is straight.
  const fromMm = Math.max(rootRadiusMm, thread.flankFromMm);
  const bent = alongCurve((t) => {
    const radius = fromMm + (tipRadiusMm - fromMm) * t;
    return at(radius, -halfAngleAt(radius));
  }, chordToleranceMm).points;
  const flank = rootRadiusMm < fromMm ? [at(rootRadiusMm, -halfAngleAt(rootRadiusMm)), ...bent] : bent;
  const [atTip, atRoot] = [halfAngleAt(tipRadiusMm), halfAngleAt(rootRadiusMm)];
  const tip = arc(tipRadiusMm, [-atTip, atTip], chordToleranceMm).points;
  const root = arc(rootRadiusMm, [atRoot, pitch - atRoot], chordToleranceMm).points;
  const back = [...flank].reverse().map(([x, y]): Point => [x, -y]);
  const one = [...flank.slice(0, -1), ...tip, ...back.slice(0, -1), ...root];
  return Array.from({ length: starts }, (_, i) => turned(one, i * pitch)).flat();
}

/**
 * A worm as a closed body along z, from 0 to its length: its section turned once in a lead, the thread running out to the root at both
 * ends. mm @throws CoreFailure where the bore reaches the roots, or it is shorter than its two runouts
 */
export function wormSolid(thread: WormThread, { lengthMm, hole, chordToleranceMm }: WormBody): Solid {
  const { rootRadiusMm, tipRadiusMm, leadMm, axialPitchMm, hand } = thread;
  checkBore(hole, rootRadiusMm);
  const runoutMm = RUNOUT_PITCHES * axialPitchMm;
  if (lengthMm <= 2 * runoutMm) throw fail('outOfRange', 'part.lengthMm', { minimum: 2 * runoutMm, maximum: 2000, given: lengthMm });
  const section = wormSection(thread, chordToleranceMm);
  const stepMm = Math.min((leadMm / (2 * Math.PI)) * Math.sqrt((8 * chordToleranceMm) / tipRadiusMm), runoutMm / 8);
  const layers = Math.ceil(lengthMm / stepMm);
  if (layers > MOST_LAYERS) throw fail('tooMany', 'chordToleranceMm', { maximum: MOST_LAYERS, given: layers });
  const turn = ((hand === 'right' ? 1 : -1) * 2 * Math.PI) / leadMm;
  const rings = Array.from({ length: layers + 1 }, (_, i) => {
    const z = (lengthMm * i) / layers;
    const share = Math.min(1, Math.min(z, lengthMm - z) / runoutMm);
    const most = rootRadiusMm + (tipRadiusMm - rootRadiusMm) * share;
    return turned(section, turn * z).map(([x, y]): Corner => {
      const cut = Math.min(1, most / Math.hypot(x, y));
      return [x * cut, y * cut, z];
    });
  });
  return loft({ rings, hole: hole?.points });
}
