import { stepsToReach, type Pack } from '@patient-badger/core/machine';

/** What a look would cost with everything still closed. */
export function closedMinutes(pack: Pack, lookId: string): number {
  const look = pack.looks.find(({ id }) => id === lookId);
  return stepsToReach(pack, look?.needs ?? [], { reached: new Set() }).reduce((sum, step) => sum + step.minutes, look?.minutes ?? 0);
}
