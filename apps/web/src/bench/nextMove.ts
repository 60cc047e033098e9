import { NONE_OF_THESE, type JobState } from '@patient-badger/core';
import type { Job } from '@patient-badger/contract';
import { findFamily } from '@patient-badger/knowledge';
import { traceOf } from '../data/useTrace.ts';
import { minutesText, percent } from '../design/words.ts';

export type BenchJob = Job & { readonly state: JobState };

export interface Move {
  readonly text: string;
  readonly minutes?: string;
  /** Where pressing the card leads, below the job. */
  readonly to: string;
}

/** What can be done on a job right now. */
export function nextMove({ family, state }: BenchJob): Move {
  const pack = findFamily(family);
  if (!pack) return { text: 'This app does not know the family of this machine.', to: '' };
  if (state.closed) return { text: state.closed.found || 'Finished', to: '/close' };
  const remedy = pack.faults.find(({ id }) => id === state.decided?.fault)?.remedy;
  const part = remedy?.part;
  const gear = part ? state.gears[part] : undefined;
  if (state.decided) {
    if (part && !gear?.chosen)
      return { text: gear && Object.keys(gear.readings).length > 0 ? 'Find the part that fits' : 'Measure the gear', to: `/gear/${part}` };
    return { text: remedy?.text ?? 'Set it right and prove it', minutes: remedy && minutesText(remedy.minutes), to: '/close' };
  }
  const trace = traceOf(state, pack);
  if (trace.verdict) {
    const fault = pack.faults.find(({ id }) => id === trace.verdict?.fault);
    return { text: `Verdict: ${fault?.name ?? NONE_OF_THESE}, ${percent(trace.verdict.probability)}`, to: '/verdict' };
  }
  if (!trace.next) return { text: 'No look left that is worth its minutes: decide.', to: '/verdict' };
  return { text: `Next look: ${trace.next.name}`, minutes: minutesText(trace.next.minutes), to: '' };
}
