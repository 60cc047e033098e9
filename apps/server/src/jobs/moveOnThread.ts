import { applyOverrides, foldJob, nextMove, type BenchMove, type Entry, type ModelOverrides } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { ownPack } from '../machines/ownPack.ts';

export interface MoveAsked {
  readonly jobId: string;
  readonly entries: readonly Entry[];
  readonly family: string;
  /** The row of a family of the shop's own. */
  readonly own: Parameters<typeof ownPack>[0] | null;
  readonly overrides: ModelOverrides | null;
}

/** The next move of a job, on a thread: the tracing takes some milliseconds, and at worst some hundred. */
export function work({ jobId, entries, family, own, overrides }: MoveAsked): BenchMove | null {
  const pack = own ? ownPack(own) : findFamily(family);
  return pack ? nextMove(foldJob(jobId, entries), applyOverrides(pack, overrides)) : null;
}
