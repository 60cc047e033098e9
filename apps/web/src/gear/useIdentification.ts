import { wormQuestion, type GearState, type WormIdentification } from '@patient-badger/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { runInWorker } from '../data/runInWorker.ts';

/** Candidates for what has been read so far, worked out off the main thread; null while nothing was read. */
export function useIdentification(gear: GearState | undefined) {
  const question = useMemo(() => (gear ? wormQuestion(gear) : null), [gear]);
  return useQuery({
    queryKey: ['identify-worm', question],
    queryFn: () => runInWorker<WormIdentification>('gear.worm.identify', question),
    enabled: question !== null,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    placeholderData: keepPreviousData,
    meta: { local: true },
  });
}
