import { traceNext, traceInput, type JobState, type Pack, type TraceOutput } from '@patient-badger/core';
import { useMemo } from 'react';

/** Suspects and next look of a job as it is now. A few milliseconds, so it is worked out right here. */
export const useTrace = (state: JobState, pack: Pack): TraceOutput => useMemo(() => traceOf(state, pack), [state, pack]);

export const traceOf = ({ facts, observations, reached }: JobState, pack: Pack): TraceOutput =>
  traceNext(
    traceInput.parse({ family: pack.id, facts, observations: observations.map(({ look, result }) => ({ look, result })), reached }),
    pack,
  );
