import { withOwnPriors } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { learning, verdicts, type Learning } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './api.ts';

/** While the log is being read it is asked again so soon. */
const AGAIN_MS = 500;

/** What the shop's log teaches; while it is read, how far that is. */
export const useLearnt = () =>
  useQuery({
    queryKey: ['learnt'],
    queryFn: () => call('/api/learnt', learning),
    refetchInterval: ({ state }: { state: { data?: Learning | undefined } }) => (state.data?.working ? AGAIN_MS : false),
  });

/** Proved verdicts of the shop by family; none while an owner keeps the families' own odds. */
export const useVerdicts = () => useQuery({ queryKey: ['verdicts'], queryFn: () => call('/api/verdicts', verdicts), staleTime: 60_000 });

/** Proved verdicts of the shop on a family: how often which fault. */
export function useFamilyVerdicts(family: string) {
  return useVerdicts().data?.find((each) => each.family === family);
}

/** A family with the priors that the shop's own proved jobs give it; the same object as long as they do. */
export function useOwnPriors(pack: Pack): Pack {
  const faults = useFamilyVerdicts(pack.id)?.faults;
  const counted = JSON.stringify(faults ?? []);
  return useMemo(() => withOwnPriors(pack, JSON.parse(counted) as NonNullable<typeof faults>), [pack, counted]);
}
