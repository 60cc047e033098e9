import type {
  GearAttributes,
  GearCard,
  GearKind,
  GearState,
  OperationName,
  OperationOutput,
  Pack,
  RankedCandidate,
} from '@patient-badger/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { runNamedInWorker } from '../data/runInWorker.ts';
import { kindFor } from './kinds.ts';

interface Identified<Candidate> {
  readonly candidates: readonly Candidate[];
}

interface Asks<Name extends string> {
  readonly operation: Name;
  question(gear: GearState): object | null;
}

/** Which gear it may be by what has been read so far, worked out off the main thread; nothing while there is no question yet. */
export const useIdentified = <Name extends OperationName>(kind: { readonly identification: Asks<Name> }, gear: GearState) =>
  useAnswer<OperationOutput<Name>>(kind.identification, gear);

function useAnswer<Answer>(asks: Asks<string> | undefined, gear: GearState | undefined) {
  const question = useMemo(() => (asks && gear ? asks.question(gear) : null), [asks, gear]);
  return useQuery({
    queryKey: [asks?.operation, question],
    queryFn: () => runNamedInWorker<Answer>(asks?.operation ?? '', question),
    enabled: question !== null,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    placeholderData: keepPreviousData,
    meta: { local: true },
  });
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
  const { data } = useAnswer<Identified<RankedCandidate>>(kind?.identification, gear);
  if (!gear || !kind?.identification || !data) return null;
  const { key, wanted } = kind.identification;
  const candidate = data.candidates.find((each) => key(each) === pick) ?? data.candidates[0];
  return candidate === undefined ? null : { attributes: wanted(candidate, gear, card), probability: candidate.probability };
}
