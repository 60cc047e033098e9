import {
  applyOverrides,
  checkPack,
  foldJob,
  nextMove,
  packSchema,
  type BenchMove,
  type Entry,
  type ModelOverrides,
  type Pack,
} from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';

export interface MoveAsked {
  readonly jobId: string;
  readonly entries: readonly Entry[];
  readonly family: string;
  /** The file of a family of the shop's own, with its version. */
  readonly own: { readonly shopId: string; readonly version: number; readonly pack: unknown } | null;
  readonly overrides: ModelOverrides | null;
}

/** Own families as last read here: what was worked out for a pack is found again by the pack itself. */
const read = new Map<string, { readonly version: number; readonly pack: Pack }>();

function packOf({ family, own }: MoveAsked): Pack | null {
  if (!own) return findFamily(family) ?? null;
  const key = `${own.shopId}/${family}`;
  const before = read.get(key);
  if (before?.version === own.version) return before.pack;
  const pack = checkPack(packSchema.parse(own.pack));
  read.set(key, { version: own.version, pack });
  return pack;
}

/** The next move of a job, on a thread: the tracing takes some milliseconds, and at worst some hundred. */
export function work(asked: MoveAsked): BenchMove | null {
  const pack = packOf(asked);
  return pack && nextMove(foldJob(asked.jobId, asked.entries), applyOverrides(pack, asked.overrides));
}
