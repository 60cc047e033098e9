import {
  bevelQuestion,
  cylindricalQuestion,
  wheelQuestion,
  wormQuestion,
  type BevelIdentification,
  type GearState,
  type Identification,
  type WheelIdentification,
  type WormIdentification,
} from '@patient-badger/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { runInWorker } from '../data/runInWorker.ts';

/** Which worm it may be by what has been read so far. */
export const useIdentification = (gear: GearState | undefined) => useAnswer<WormIdentification>('gear.worm.identify', gear, wormQuestion);

/** Which spur or helical gear it may be by what has been read so far. */
export const useCylindrical = (gear: GearState | undefined) =>
  useAnswer<Identification>('gear.cylindrical.identify', gear, cylindricalQuestion);

/** Which bevel pair it may be. */
export const useBevel = (gear: GearState | undefined) => useAnswer<BevelIdentification>('gear.bevel.identify', gear, bevelQuestion);

/** Which worm wheel it may be. */
export const useWheel = (gear: GearState | undefined) => useAnswer<WheelIdentification>('gear.wheel.identify', gear, wheelQuestion);

/** Worked out off the main thread; nothing while there is no question yet. */
function useAnswer<Answer>(operation: string, gear: GearState | undefined, ask: (gear: GearState) => object | null) {
  const question = useMemo(() => (gear ? ask(gear) : null), [gear, ask]);
  return useQuery({
    queryKey: [operation, question],
    queryFn: () => runInWorker<Answer>(operation, question),
    enabled: question !== null,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    placeholderData: keepPreviousData,
    meta: { local: true },
  });
}
