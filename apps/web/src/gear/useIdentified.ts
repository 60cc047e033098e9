import type { GearState, OperationName, OperationOutput } from '@patient-badger/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { runNamedInWorker } from '../data/runInWorker.ts';

interface Asks<Name extends string> {
  readonly operation: Name;
  question(gear: GearState): object | null;
}

/** Which gear it may be by what has been read so far, worked out off the main thread; nothing while there is no question yet. */
export const useIdentified = <Name extends OperationName>(kind: { readonly identification: Asks<Name> }, gear: GearState) =>
  useAnswer<OperationOutput<Name>>(kind.identification, gear);

/** The same where the operation is known by its name only. */
export function useAnswer<Answer>(asks: Asks<string> | undefined, gear: GearState | undefined) {
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
