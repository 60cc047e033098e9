import { traceNext, traceInput, type JobState, type Pack, type TraceOutput } from '@patient-badger/core';
import { useMemo } from 'react';

/** Suspects and next look of a job as it is now. Some tens of milliseconds at the first look, so it is worked out right here, once for each change of the job. */
export const useTrace = (state: JobState, pack: Pack): TraceOutput => useMemo(() => traceOf(state, pack), [state, pack]);

export const traceOf = ({ facts, observations, reached, found }: JobState, pack: Pack): TraceOutput =>
  traceNext(
    traceInput.parse({
      family: pack.id,
      facts,
      observations: observations.map(({ look, result }) => ({ look, result })),
      reached,
      found: [...found],
    }),
    pack,
  );
