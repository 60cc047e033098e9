import { askedOf, traceOfJob, type JobState } from '@patient-badger/core/job';
import type { Pack, TraceOutput } from '@patient-badger/core/machine';
import { useMemo } from 'react';

/** Suspects and next look of a job as it is now. */
export const traceOf = (state: JobState, pack: Pack): TraceOutput => traceOfJob(askedOf(state), pack);

/**
 * The same for a screen. Some tens of milliseconds, so it is worked out right here, and only when facts,
 * observations, reached steps or finds change: a caliper reading or a photo leaves it as it is.
 */
export function useTrace(state: JobState, pack: Pack): TraceOutput {
  const asked = JSON.stringify(askedOf(state));
  return useMemo(() => traceOfJob(JSON.parse(asked) as ReturnType<typeof askedOf>, pack), [asked, pack]);
}
