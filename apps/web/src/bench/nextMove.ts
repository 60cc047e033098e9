import { NONE_OF_THESE, NOTHING_ELSE, toSetRight, type JobState, type Pack } from '@patient-badger/core';
import type { Job } from '@patient-badger/contract';
import { traceOf } from '../data/useTrace.ts';
import { findsParts } from '../gear/kinds.ts';
import { minutesText, percent } from '../wording/words.ts';

export type BenchJob = Job & { readonly state: JobState; readonly pack: Pack | undefined };

export interface Move {
  readonly text: string;
  readonly minutes?: string;
  /** Where pressing the card leads, below the job. */
  readonly to: string;
}

/** What can be done on a job right now. */
export function nextMove({ state, pack }: BenchJob): Move {
  if (!pack) return { text: 'This app does not know the family of this machine.', to: '' };
  if (state.closed) return { text: state.closed.found || 'Finished', to: '/close' };
  if (state.decided) {
    const remedies = toSetRight(pack, state).map(({ remedy }) => remedy);
    const part = remedies
      .map((each) => each.part)
      .find((each) => each !== undefined && findsParts(pack, each) && !state.gears[each]?.chosen && !writtenDown(state, each));
    const read = part === undefined ? 0 : Object.keys(state.gears[part]?.readings ?? {}).length;
    if (part) return { text: read > 0 ? 'Find the part that fits' : 'Measure the gear', to: `/gear/${part}` };
    const minutes = remedies.reduce((sum, each) => sum + each.minutes, 0);
    return { text: remedies[0]?.text ?? 'Set it right and prove it', ...(minutes > 0 && { minutes: minutesText(minutes) }), to: '/close' };
  }
  const trace = traceOf(state, pack);
  if (trace.verdict?.fault === NOTHING_ELSE) return { text: 'Nothing else is wrong: set right what was found.', to: '/verdict' };
  if (trace.verdict) {
    const fault = pack.faults.find(({ id }) => id === trace.verdict?.fault);
    return { text: `Verdict: ${fault?.name ?? NONE_OF_THESE}, ${percent(trace.verdict.probability)}`, to: '/verdict' };
  }
  if (!trace.next) return { text: 'No look left that is worth its minutes: decide.', to: '/verdict' };
  return { text: `Next look: ${trace.next.name}`, minutes: minutesText(trace.next.minutes), to: '' };
}

/** A part that was found by hand stands in a remark about its gear. */
const writtenDown = ({ remarks }: JobState, gear: string): boolean => remarks.some((each) => each.gear === gear);
