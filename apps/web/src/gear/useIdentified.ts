import type { OperationName, OperationOutput } from '@patient-badger/core';
import { weighByBook, type GearInBook, type GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useGearInBook } from '../data/book.ts';
import { runNamedInWorker } from '../data/runInWorker.ts';
import type { JobView } from '../job/JobView.ts';

interface Ranking {
  readonly candidates: readonly { readonly probability: number }[];
  readonly noneOfTheseProbability: number;
}

interface Asks<Name extends string> {
  readonly operation: Name;
  question(gear: GearState): object | null;
  wanted(candidate: never, gear: GearState, card: GearCard): PartAttributes;
}

interface OnMachine {
  readonly view: JobView;
  readonly card: GearCard;
}

/**
 * Which gear it may be by what has been read so far and by what the book has of this model, worked out off the
 * main thread; nothing while there is no question yet.
 */
export function useIdentified<Name extends OperationName>(
  kind: { readonly identification: Asks<Name> },
  gear: GearState,
  { view, card }: OnMachine,
) {
  const known = useGearInBook(view.machine?.modelId, card.id);
  const answer = useAnswer<OperationOutput<Name>>(kind.identification, gear);
  const data = useMemo(
    () => answer.data && (withBook(answer.data as Ranking, { known, asks: kind.identification, gear, card }) as OperationOutput<Name>),
    [answer.data, known, kind.identification, gear, card],
  );
  return { ...answer, data };
}

interface IdentifyContext {
  readonly known: GearInBook | undefined;
  readonly asks: { wanted(candidate: never, gear: GearState, card: GearCard): PartAttributes };
  readonly gear: GearState;
  readonly card: GearCard;
}

/** The candidates as the readings and the book together have them. */
export function withBook<Answer extends Ranking>(answer: Answer, { known, asks, gear, card }: IdentifyContext): Answer {
  if (!known) return answer;
  const { candidates, noneOfTheseProbability } = answer;
  const attributesOf = (candidate: Answer['candidates'][number]) => asks.wanted(candidate as never, gear, card);
  const weighed = weighByBook({ candidates, noneOfTheseProbability, attributesOf }, known);
  return { ...answer, candidates: weighed.candidates, noneOfTheseProbability: weighed.noneOfTheseProbability };
}

/** What the readings alone say, where the operation is known by its name only. */
export function useAnswer<Answer>(asks: Pick<Asks<string>, 'operation' | 'question'> | undefined, gear: GearState | undefined) {
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
