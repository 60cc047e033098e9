import type { Driveline } from '../driveline/schema.ts';
import type { PartAttributes } from '../match/schema.ts';
import type { Operation } from '../operation/operation.ts';
import type { GearQuantity } from './quantities.ts';
import type { GearOfFamily, MeasuredGear } from './measuredGear.ts';

/** A gear that the readings may have been taken off. */
export interface RankedCandidate {
  readonly probability: number;
}

/** How a kind is told from its readings, and what is then looked for. */
export interface KindIdentification<Candidate extends RankedCandidate = RankedCandidate> {
  /** Name of the operation that answers the question. */
  readonly operation: string;
  /** What was read, as the operation takes it; null while too little was. */
  question(gear: MeasuredGear): object | null;
  /** Names a candidate in an address. */
  key(candidate: Candidate): string;
  /** The gear to look for: the candidate, with what only a reading can tell. */
  wanted(candidate: Candidate, gear: MeasuredGear, card: GearOfFamily): PartAttributes;
}

/**
 * Everything the core knows of one kind of gear. A new kind is a folder with one of these, and a line in
 * `kinds.ts`.
 */
export interface GearKind<Candidate extends RankedCandidate = RankedCandidate> {
  readonly id: string;
  /** Types of a family's gear cards that are measured as this kind. */
  readonly types: readonly GearOfFamily['type'][];
  /** Where a type alone does not say it: whether this gear of this chain is one. */
  readonly suits?: (card: GearOfFamily, driveline: Driveline) => boolean;
  /** Dimensions that can be read off it, one an entry, so that each can be taken back. */
  readonly quantities: readonly GearQuantity[];
  readonly operations: Readonly<Record<string, Operation>>;
  /** Absent where it is only computed, not measured on a job. */
  readonly identification?: KindIdentification<Candidate>;
}
