import type { Fault, Pack } from '../trace/pack.ts';
import type { OptionKind } from '../work/remedy.ts';
import type { Payload } from './entry.ts';
import type { JobState } from './jobState.ts';
import { toSetRight } from './toSetRight.ts';
import { remediesOfJob } from './workOfJob.ts';

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
  const faults = toSetRight(pack, state);
  const ends = remediesOfJob(pack, state).map(({ kind }) => ENDS_AS[kind]);
  if (ends.includes('scrapped')) return 'scrapped';
  if (Object.values(state.gears).some(({ fitted }) => fitted) || state.made.length > 0) return 'replaced';
  if (ends.length > 0) return FURTHEST.find((each) => ends.includes(each)) ?? 'repaired';
  return ofOneRemedy(faults, state.decided?.note);
}

/** Of a file that says one remedy only. */
function ofOneRemedy(faults: readonly Fault[], other: string | undefined): Outcome {
  const kinds = faults.map(({ remedy }) => remedy.kind);
  if (kinds.length === 0) return other ? 'repaired' : 'returned';
  if (kinds.includes('replace')) return 'replaced';
  return kinds.every((kind) => kind === 'clean' || kind === 'refill') ? 'cleaned' : 'repaired';
}
