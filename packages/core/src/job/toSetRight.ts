import { gearsOfFault } from '../trace/remedies.ts';
import type { Fault, Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';

/** Every fault of the job that has to be set right: those found on the way, and the one decided on. */
export function toSetRight(pack: Pack, { found, decided }: Pick<JobState, 'found' | 'decided'>): readonly Fault[] {
  const wanted = new Set([...found, ...(decided ? [decided.fault] : [])]);
  return pack.faults.filter(({ id }) => wanted.has(id));
}

/** The card of the gear that the work is about first; nothing where it is about none. */
export const gearInHand = (pack: Pack, state: Pick<JobState, 'found' | 'decided'>): string | undefined =>
  toSetRight(pack, state).flatMap((fault) => gearsOfFault(pack, fault))[0];
