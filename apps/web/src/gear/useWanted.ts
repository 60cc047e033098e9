import type { GearAttributes, GearCard, GearKind, GearState, Pack, RankedCandidate } from '@patient-badger/core';
import { kindFor } from './kinds.ts';
import { useAnswer } from './useIdentified.ts';

interface Identified {
  readonly candidates: readonly RankedCandidate[];
}

export interface Wanted {
  readonly attributes: GearAttributes;
  /** How likely it is that it was this gear. */
  readonly probability: number;
}

/** The gear to look for, by the candidate that was picked or the likeliest; null while too little is measured. */
export function useWanted(
  pack: Pack,
  card: GearCard,
  { gear, pick }: { gear: GearState | undefined; pick?: string | undefined },
): Wanted | null {
  const kind: GearKind | undefined = kindFor(pack, card)?.kind;
  const { data } = useAnswer<Identified>(kind?.identification, gear);
  if (!gear || !kind?.identification || !data) return null;
  const { key, wanted } = kind.identification;
  const candidate = data.candidates.find((each) => key(each) === pick) ?? data.candidates[0];
  return candidate === undefined ? null : { attributes: wanted(candidate, gear, card), probability: candidate.probability };
}
