import { traceInput, traceNext, type JobState, type Pack, type TraceOutput } from '@patient-badger/core';
import { useMemo } from 'react';

/** What of a job the tracing depends on; everything else may change without its being asked again. */
const askedOf = ({ facts, observations, reached, found }: JobState) => ({
  facts,
  observations: observations.map(({ look, result }) => ({ look, result })),
  reached: [...reached],
  found: [...found],
});

const answer = (asked: ReturnType<typeof askedOf>, pack: Pack): TraceOutput =>
  traceNext(traceInput.parse({ family: pack.id, ...asked }), pack);

/** Suspects and next look of a job as it is now. */
export const traceOf = (state: JobState, pack: Pack): TraceOutput => answer(askedOf(state), pack);

/**
 * The same for a screen. Some tens of milliseconds, so it is worked out right here, and only when facts,
 * observations, reached steps or finds change: a caliper reading or a photo leaves it as it is.
 */
export function useTrace(state: JobState, pack: Pack): TraceOutput {
  const asked = JSON.stringify(askedOf(state));
  return useMemo(() => answer(JSON.parse(asked) as ReturnType<typeof askedOf>, pack), [asked, pack]);
}
