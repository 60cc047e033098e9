import { foldJob, type Entry, type JobState, type Pack } from '@patient-badger/core';
import { job, machine, shelfItem, shop, type Job, type Machine, type ShelfItem } from '@patient-badger/contract';
import { useQuery, type QueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { z } from 'zod';
import { call } from './api.ts';
import { usePackOf } from './families.ts';
import { outbox, type Waiting } from './outbox.ts';
import { connection } from './send.ts';

export const useWaiting = (): readonly Waiting[] => useSyncExternalStore(outbox.subscribe, outbox.get, outbox.get);
export const useConnection = () => useSyncExternalStore(connection.subscribe, connection.get, connection.get);

export const useShop = () => useQuery({ queryKey: ['shop'], queryFn: () => call('/api/shop', shop), staleTime: 600_000 });

/** Machines on record, with those written down here and not yet sent. */
export function useMachines() {
  const query = useQuery({ queryKey: ['machines'], queryFn: () => call('/api/machines', z.array(machine)) });
  const waiting = useWaiting();
  const data = useMemo(() => {
    const local = waiting.flatMap((item): Machine[] =>
      item.kind === 'machine' ? [{ ...item.machine, modelName: null, instruments: false }] : [],
    );
    const known = new Set(query.data?.map(({ id }) => id));
    return query.data || local.length > 0 ? [...(query.data ?? []), ...local.filter(({ id }) => !known.has(id))] : undefined;
  }, [query.data, waiting]);
  return { ...query, data };
}

/** Jobs of the bench, with those begun here and not yet sent. */
export function useJobs(state: 'open' | 'closed') {
  const query = useQuery({ queryKey: ['jobs', state], queryFn: () => call(`/api/jobs?state=${state}`, z.array(job)) });
  const waiting = useWaiting();
  const machines = useMachines().data;
  const packOf = usePackOf();
  const data = useMemo(() => {
    const local = waiting.flatMap((item) => (item.kind === 'entry' ? [item.entry] : []));
    const known = new Set(query.data?.map(({ id }) => id));
    const begun = state === 'open' ? local.flatMap((each) => (known.has(each.jobId) ? [] : jobFromTakeIn(each))) : [];
    if (!query.data && begun.length === 0) return undefined;
    return [...(query.data ?? []), ...begun].map((each) => ({
      ...each,
      state: foldJob(each.id, [...each.entries, ...local]),
      pack: packOf(each.family, machines?.find(({ id }) => id === each.machineId)?.modelId),
    }));
  }, [query.data, waiting, state, machines, packOf]);
  return { ...query, data };
}

function jobFromTakeIn({ id, payload, jobId, ...rest }: Entry): Job[] {
  if (payload.kind !== 'takenIn') return [];
  return [{ id: jobId, machineId: payload.machineId, family: payload.family, entries: [{ id, jobId, payload, ...rest }] }];
}

export interface OpenJob {
  readonly job: Job;
  readonly state: JobState;
  readonly pack: Pack;
  readonly machine: Machine | undefined;
}

/** One job as it is now: what the server has, what other windows wrote, and what waits on this device. */
export function useJob(id: string): { open: OpenJob | null; isLoading: boolean; error: Error | null } {
  const query = useQuery({ queryKey: ['job', id], queryFn: () => call(`/api/jobs/${id}`, job), retry: 1 });
  const machines = useMachines().data;
  const packOf = usePackOf();
  const waiting = useWaiting();
  const open = useMemo(() => {
    const local = waiting.flatMap((item) => (item.kind === 'entry' && item.entry.jobId === id ? [item.entry] : []));
    const found = query.data ?? local.flatMap(jobFromTakeIn)[0];
    const machine = machines?.find((each) => each.id === found?.machineId);
    const pack = found && packOf(found.family, machine?.modelId);
    if (!found || !pack) return null;
    const entries = [...found.entries, ...local];
    return {
      job: { ...found, entries },
      state: foldJob(id, entries),
      pack,
      machine,
    };
  }, [id, query.data, waiting, machines, packOf]);
  return { open, isLoading: query.isPending && query.fetchStatus !== 'paused' && !open, error: open ? null : query.error };
}

/** Puts an entry that is on the server into what the screens hold, so that nothing flickers while it is asked for again. */
export function addEntry(client: QueryClient, entry: Entry): void {
  client.setQueryData<Job>(['job', entry.jobId], (held) => (held ? withEntry(held, entry) : jobFromTakeIn(entry)[0]));
  for (const state of ['open', 'closed']) {
    client.setQueryData<Job[]>(['jobs', state], (held) => held?.map((each) => (each.id === entry.jobId ? withEntry(each, entry) : each)));
  }
  if (['takenIn', 'closed', 'reopened', 'withdrawn'].includes(entry.payload.kind)) void client.invalidateQueries({ queryKey: ['jobs'] });
}

const withEntry = (held: Job, entry: Entry): Job =>
  held.entries.some(({ id }) => id === entry.id) ? held : { ...held, entries: [...held.entries, entry] };

/** The donor shelf, with what was put there from here and is not yet sent. */
export function useShelf() {
  const query = useQuery({ queryKey: ['shelf'], queryFn: () => call('/api/shelf', z.array(shelfItem)) });
  const waiting = useWaiting();
  const data = useMemo(() => {
    const known = new Set(query.data?.map(({ id }) => id));
    const local = waiting.flatMap((each): ShelfItem[] =>
      each.kind === 'shelf' && !known.has(each.item.id)
        ? [{ ...each.item, by: each.by, addedAt: new Date().toISOString(), usedIn: null, gone: null }]
        : [],
    );
    return query.data || local.length > 0 ? [...local, ...(query.data ?? [])] : undefined;
  }, [query.data, waiting]);
  return { ...query, data };
}

/** Every job of one machine as it is now, with what waits on this device. */
export function useJobsOfMachine(machineId: string) {
  const query = useQuery({ queryKey: ['machine-jobs', machineId], queryFn: () => call(`/api/machines/${machineId}/jobs`, z.array(job)) });
  const waiting = useWaiting();
  const data = useMemo(() => {
    const local = waiting.flatMap((item) => (item.kind === 'entry' ? [item.entry] : []));
    const known = new Set(query.data?.map(({ id }) => id));
    const begun = local
      .flatMap((each) => (known.has(each.jobId) ? [] : jobFromTakeIn(each)))
      .filter((each) => each.machineId === machineId);
    if (!query.data && begun.length === 0) return undefined;
    return [...(query.data ?? []), ...begun].map((each) => foldJob(each.id, [...each.entries, ...local]));
  }, [query.data, waiting, machineId]);
  return { ...query, data };
}
