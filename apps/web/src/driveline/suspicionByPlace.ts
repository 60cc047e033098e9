import type { TraceOutput } from '@patient-badger/core/machine';

/** How likely something is wrong at each place of the drive line, listed there or not; never above 1. */
export const suspicionByPlace = (trace: Pick<TraceOutput, 'places'> | undefined): Readonly<Record<string, number>> =>
  Object.fromEntries((trace?.places ?? []).map(({ at, probability }) => [at, probability]));
