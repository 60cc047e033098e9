import type { Joint } from './schema.ts';
import { solve, type Motion } from './solve.ts';
import { tieOf } from './transmission.ts';
import { type Question } from './question.ts';

export interface StopResult {
  readonly moved: ReadonlyMap<string, Motion>;
  /** The joint at the end of its travel, and the share of the drive that was put in until then. */
  readonly stop: { readonly joint: string; readonly share: number } | null;
}

/**
 * Motion with the ends of toothed sectors and racks: everything goes in proportion until the first
 * limited joint is at its end, and no further. Travel is counted from where the chain stands.
 */
export function solveWithEnds(question: Question): StopResult {
  const moved = solve(question);
  const first = question.driveline.joints
    .map((joint) => ({ joint: joint.id, share: shareOf(joint, moved) }))
    .reduce((least, each) => (each.share < least.share ? each : least), { joint: '', share: 1 });
  if (first.share === 1) return { moved, stop: null };
  const drive = new Map([...question.drive].map(([id, value]) => [id, value * first.share]));
  return { moved: solve({ ...question, drive }), stop: first };
}

/** The share of the motion that the joint's travel allows; 1 where nothing limits it. */
function shareOf(joint: Joint, moved: ReadonlyMap<string, Motion>): number {
  const limit = limitOf(joint);
  const driven = tieOf(joint)?.to;
  const far = Math.abs((driven && moved.get(driven)?.value) || 0);
  return limit === undefined || far <= limit ? 1 : limit / far;
}

/** Turns of a rotor or mm of a slider. */
function limitOf(joint: Joint): number | undefined {
  if ('travelMm' in joint) return joint.travelMm;
  return 'travelDeg' in joint && joint.travelDeg !== undefined ? joint.travelDeg / 360 : undefined;
}
