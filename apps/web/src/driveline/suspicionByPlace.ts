import { type TraceOutput } from '@patient-badger/core';

export function suspicionByPlace(trace: TraceOutput | undefined): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const { at, probability } of trace?.suspects ?? []) sums[at] = (sums[at] ?? 0) + probability;
  return sums;
}
