import { stepsToReach, type Pack } from '@patient-badger/core/machine';

/** For each place: how many opening steps lie before the easiest look at it. */
export function depthByPlace(pack: Pack, reached: readonly string[]): Record<string, number> {
  const done = new Set(reached);
  const depth: Record<string, number> = {};
  for (const { at, needs } of pack.looks) {
    const steps = stepsToReach(pack, needs, { reached: done }).length;
    depth[at] = Math.min(depth[at] ?? Infinity, steps);
  }
  return depth;
}
