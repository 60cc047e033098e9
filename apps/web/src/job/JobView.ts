import type { TraceOutput } from '@patient-badger/core/machine';
import type { OpenJob } from '../data/jobs.ts';

/** An open job with what tracing makes of it: what every screen of the job works on. */
export interface JobView extends OpenJob {
  readonly trace: TraceOutput;
}
