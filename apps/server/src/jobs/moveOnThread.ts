import { foldJob, nextMove, withOwnPriors, type FaultCount, type BenchMove, type Entry } from '@patient-badger/core/job';
import { applyOverrides, type ModelOverrides } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { ownPack } from '../machines/ownPack.ts';

export interface MoveTask {
  readonly jobId: string;
  readonly entries: readonly Entry[];
  readonly family: string;
  /** The row of a family of the shop's own. */
  readonly own: Parameters<typeof ownPack>[0] | null;
  readonly overrides: ModelOverrides | null;
  /** Proved verdicts of the shop on this family; none where its priors stay as they are. */
  readonly verdicts: readonly FaultCount[];
}

/** The next move of a job, on a thread: the tracing takes some milliseconds, and at worst some hundred. */
export function work({ jobId, entries, family, own, overrides, verdicts }: MoveTask): BenchMove | null {
  const pack = own ? ownPack(own) : findFamily(family);
  return pack ? nextMove(foldJob(jobId, entries), withOwnPriors(applyOverrides(pack, overrides), verdicts)) : null;
}
