import { foldJob, type Entry, type JobState } from '@patient-badger/core/job';
import { packForFacts, type Pack } from '@patient-badger/core/machine';
import { job, machine, machineHistory, machinePage, shelfItem, type Job, type Machine, type ShelfItem } from '@patient-badger/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { z } from 'zod';
import { call } from './api.ts';
import { usePackOf } from './families.ts';
import { begunBy } from './heldJobs.ts';
import { useOutbox } from './shop.ts';
import type { Waiting } from './outbox.ts';

const writtenHere = (box: readonly Waiting[]): readonly Machine[] =>
  box.flatMap((item) =>
    item.kind === 'machine' ? [{ ...item.machine, modelName: null, instruments: false, retired: false, mergedInto: null }] : [],
  );

const entriesHere = (box: readonly Waiting[], jobId: string): readonly Entry[] =>
  box.flatMap((item) => (item.kind === 'entry' && item.entry.jobId === jobId ? [item.entry] : []));

/** Machines with these words, or of one family; with those written down here and not yet sent. */
export function useMachines(words: string, family?: string | undefined, retired = false) {
  const asked = new URLSearchParams({ words, ...(family && { family }), ...(retired && { retired: 'yes' }) }).toString();
  const query = useQuery({
    queryKey: ['machines', asked],
    queryFn: () => call(`/api/machines?${asked}`, machinePage),
    placeholderData: keepPreviousData,
  });
  const box = useOutbox();
  const data = useMemo(() => {
    const known = query.data?.machines ?? [];
    const sought = words.toLowerCase().split(/\s+/).filter(Boolean);
    const local = writtenHere(box).filter(
      (entry) =>
        !known.some(({ id }) => id === entry.id) &&
        (family === undefined || entry.family === family) &&
        sought.every((word) => `${entry.label} ${entry.owner} ${entry.serial}`.toLowerCase().includes(word)),
    );
    return query.data || local.length > 0 ? { machines: [...local, ...known], more: query.data?.more ?? false } : undefined;
  }, [query.data, box, words, family]);
  return { data, error: query.error };
}

/** How many machines of each family are on record. */
export const useMachineCounts = () =>
  useQuery({ queryKey: ['machine-counts'], queryFn: () => call('/api/machines/counts', z.record(z.string(), z.int())) });

/** One machine, from the server or from this device while it waits. */
export function useMachine(id: string | undefined) {
  const box = useOutbox();
  const here = useMemo(() => writtenHere(box).find((each) => each.id === id), [box, id]);
  const query = useQuery({
    queryKey: ['machine', id],
    queryFn: () => call(`/api/machines/${id}`, machine),
    enabled: id !== undefined && !here,
    staleTime: 600_000,
  });
  return query.data ?? here;
}

/** What is known of one machine from all its jobs. */
export const useMachineHistory = (id: string) =>
  useQuery({ queryKey: ['machine-history', id], queryFn: () => call(`/api/machines/${id}/history`, machineHistory) });

/** What could hurt somebody when the job was taken in does so until it is closed, whatever became of the family since. */
const asTakenIn = (pack: Pack, { safetyCritical }: Job): Pack =>
  safetyCritical && !pack.safetyCritical ? { ...pack, safetyCritical } : pack;

export interface OpenJob {
  readonly job: Job;
  readonly state: JobState;
  readonly pack: Pack;
  readonly machine: Machine | undefined;
}

/** One job as it is now: what the server has, what other windows wrote, and what waits on this device. */
export function useJob(id: string): { open: OpenJob | null; isLoading: boolean; error: Error | null } {
  const packOf = usePackOf();
  const box = useOutbox();
  const local = useMemo(() => entriesHere(box, id), [box, id]);
  const begun = useMemo(() => begunBy(local), [local]);
  // What was taken in here and is not sent yet, the server does not know.
  const query = useQuery({ queryKey: ['job', id], queryFn: () => call(`/api/jobs/${id}`, job), retry: 1, enabled: !begun });
  const found = query.data ?? begun;
  const machine = useMachine(found?.machineId);
  const family = found && packOf(found.family, machine?.modelId);
  const open = useMemo(() => {
    if (!found || !family) return null;
    const entries = [...found.entries, ...local.filter((each) => !found.entries.some(({ id }) => id === each.id))];
    const state = foldJob(id, entries);
    return { job: { ...found, entries }, state, pack: asTakenIn(packForFacts(family, state.facts), found), machine };
  }, [id, found, local, family, machine]);
  return { open, isLoading: query.isPending && query.fetchStatus !== 'paused' && !open, error: open ? null : query.error };
}

/** The donor shelf, with what was put there from here and is not yet sent. */
export function useShelf() {
  const query = useQuery({ queryKey: ['shelf'], queryFn: () => call('/api/shelf', z.array(shelfItem)) });
  const box = useOutbox();
  const data = useMemo(() => {
    const known = new Set(query.data?.map(({ id }) => id));
    const local = box.flatMap((entry): ShelfItem[] =>
      entry.kind === 'shelf' && !known.has(entry.item.id)
        ? [{ ...entry.item, by: entry.by, addedAt: new Date().toISOString(), usedIn: null, gone: null }]
        : [],
    );
    return query.data || local.length > 0 ? [...local, ...(query.data ?? [])] : undefined;
  }, [query.data, box]);
  return { ...query, data };
}
