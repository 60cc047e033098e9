import type { Pack } from '../trace/pack.ts';
import type { OptionKind } from '../work/remedy.ts';
import type { Payload } from './entry.ts';
import type { JobState } from './jobState.ts';
import { toSetRight } from './toSetRight.ts';
import { remediesOfFaults } from './workOfJob.ts';

type Outcome = Payload<'closed'>['outcome'];

/** What the work was says how it ended: a new, used or made part is a part, and so is a whole unit. */
const ENDS_AS: Readonly<Record<OptionKind, Outcome>> = {
  clean: 'cleaned',
  adjust: 'repaired',
  save: 'repaired',
  repair: 'repaired',
  replace: 'replaced',
  upgrade: 'replaced',
  overhauledUnit: 'replaced',
  wholeAssembly: 'replaced',
  donor: 'replaced',
  make: 'replaced',
  bypass: 'repaired',
  scrap: 'scrapped',
  stop: 'returned',
};
/** Of several the one that went furthest. */
const FURTHEST: readonly Outcome[] = ['scrapped', 'replaced', 'repaired', 'cleaned', 'returned'];

/** How a job ended by what was done on it, before somebody says otherwise: by what was fitted or made, else by the work that it was. */
export function usualOutcome(pack: Pack, state: JobState): Outcome {
  const ends = remediesOfFaults(pack, toSetRight(pack, state), state).map(({ kind }) => ENDS_AS[kind]);
  if (ends.includes('scrapped')) return 'scrapped';
  if (Object.values(state.gears).some(({ fitted }) => fitted) || state.made.length > 0) return 'replaced';
  return FURTHEST.find((each) => ends.includes(each)) ?? (state.decided?.note ? 'repaired' : 'returned');
}
