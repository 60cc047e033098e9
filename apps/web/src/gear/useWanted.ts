import type { GearKind, RankedCandidate } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard, Pack } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { useGearInBook } from '../data/book.ts';
import { kindFor } from './kinds.ts';
import { useAnswer, withBook } from './useIdentified.ts';

interface Identification {
  readonly candidates: readonly RankedCandidate[];
  readonly noneOfTheseProbability: number;
}

export interface PartQuery {
  readonly attributes: PartAttributes;
  /** How likely it is that it was this gear. */
  readonly probability: number;
}

interface PartQuestion {
  readonly gear: GearState | undefined;
  readonly pick?: string | undefined;
  /** The machine's model, of which the book may know the gear. */
  readonly modelId?: string | null | undefined;
}

/** The gear to look for, by the candidate that was picked or the likeliest; null while too little is measured, or the family has no gear card. */
export function useWanted(pack: Pack, card: GearCard | undefined, { gear, pick, modelId }: PartQuestion): PartQuery | null {
  const kind: GearKind | undefined = card && kindFor(pack, card)?.kind;
  const known = useGearInBook(modelId, card?.id ?? '');
  const { data } = useAnswer<Identification>(kind?.identification, gear);
  if (!card || !gear || !kind?.identification || !data) return null;
  const { key, wanted } = kind.identification;
  const { candidates } = withBook(data, { known, asks: kind.identification, gear, card });
  const candidate = candidates.find((each) => key(each) === pick) ?? candidates[0];
  return candidate === undefined ? null : { attributes: wanted(candidate, gear, card), probability: candidate.probability };
}
