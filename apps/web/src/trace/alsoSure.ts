import type { Fault } from '@patient-badger/core/machine';
import type { JobView } from '../job/JobView.ts';

/** The faults of the verdict besides this one: two that are there beyond doubt are shown, and decided, as two. */
export const alsoSure = ({ pack, trace }: JobView, first: string): readonly Fault[] =>
  pack.faults.filter(({ id }) => id !== first && trace.verdict?.faults.includes(id));
