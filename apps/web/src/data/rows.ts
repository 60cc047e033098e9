import { t } from '@patient-badger/wording/shared';
import type { JobPage, JobRow } from '@patient-badger/contract';
import { infiniteQueryOptions, useInfiniteQuery, type InfiniteData, type QueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call, type Reader } from './api.ts';
import type { Waiting } from './outbox.ts';
import { useOutbox } from './shop.ts';

/** Which rows: open, finished or those of one machine, with these words. */
export interface RowQuery {
  readonly state?: 'open' | 'closed';
  readonly machine?: string;
  readonly words?: string;
  readonly waits?: 'yes' | 'no';
  /** With something to be looked at again. */
  readonly again?: 'yes';
}

/** A check of the fields that a first screen needs: the whole of Zod would come before it. */
const page: Reader<JobPage> = {
  parse(given) {
    const { rows, next } = given as Partial<JobPage>;
    const sound =
      Array.isArray(rows) &&
      rows.every(({ id, label, seq }) => typeof id === 'string' && typeof label === 'string' && typeof seq === 'number');
    if (!sound || next === undefined) throw new TypeError('no page of jobs');
    return given as JobPage;
  },
};

const AGAIN_MS = 3000;

/** Jobs as rows, page by page, as the server has them. */
export const rowsQuery = (asked: RowQuery) =>
  infiniteQueryOptions({
    queryKey: ['rows', asked],
    queryFn: ({ pageParam }) =>
      call(`/api/jobs?${new URLSearchParams({ ...asked, ...(pageParam && { after: pageParam }) }).toString()}`, page),
    initialPageParam: '',
    getNextPageParam: ({ next }: JobPage) => next,
    // A list that could not be read says that it is tried again.
    refetchInterval: ({ state: { status } }) => (status === 'error' ? AGAIN_MS : false),
  });

/** The same, with those begun here and not yet sent first. */
export function useRows(asked: RowQuery) {
  const query = useInfiniteQuery(rowsQuery(asked));
  const box = useOutbox();
  const rows = useMemo(() => {
    const known = query.data?.pages.flatMap((each) => each.rows);
    const begun =
      asked.state === 'closed' || asked.words || asked.waits === 'yes' || asked.again
        ? []
        : begunHere(box).filter(({ machineId }) => asked.machine === undefined || machineId === asked.machine);
    if (!known && begun.length === 0) return undefined;
    return [...begun.filter(({ id }) => !known?.some((each) => each.id === id)), ...(known ?? [])];
  }, [query.data, box, asked.state, asked.machine, asked.words, asked.waits, asked.again]);
  return { ...query, rows };
}

/** Jobs whose taking in waits on this device. */
function begunHere(box: readonly Waiting[]): readonly JobRow[] {
  const machines = box.flatMap((item) => (item.kind === 'machine' ? [item.machine] : []));
  return box.flatMap((item): JobRow[] => {
    if (item.kind !== 'entry' || item.entry.payload.kind !== 'takenIn') return [];
    const { machineId, family, complaint } = item.entry.payload;
    const machine = machines.find(({ id }) => id === machineId);
    return [
      {
        id: item.entry.jobId,
        machineId,
        family,
        complaint,
        takenInAt: item.entry.at,
        closedAt: null,
        promisedOn: null,
        found: null,
        outcome: null,
        followUp: null,
        seq: 0,
        move: null,
        label: machine?.label ?? t.machine,
        owner: machine?.owner ?? '',
      },
    ];
  });
}

/** Whether the job can be moved on only once a part is here. */
export const isWaiting = ({ move }: Pick<JobRow, 'move'>): boolean => move?.kind === 'waitForPart';

type Pages = InfiniteData<JobPage, string>;

/** A row that changed goes into every list that is held, in its place; nothing is asked for again. */
export function placeRow(client: QueryClient, row: JobRow): void {
  for (const [key, held] of client.getQueriesData<Pages>({ queryKey: ['rows'] })) {
    if (held) client.setQueryData<Pages>(key, withRow(held, row, key[1] as RowQuery));
  }
}

/** Exported for its test. A row that no longer belongs leaves; a new one that belongs comes first, unless it was sought by words. */
export function withRow(held: Pages, row: JobRow, { state, machine, waits, again, words = '' }: RowQuery): Pages {
  const belongs =
    (again === undefined || row.followUp !== null) &&
    (waits === undefined || isWaiting(row) === (waits === 'yes')) &&
    (state === undefined || (row.closedAt !== null) === (state === 'closed')) &&
    (machine === undefined || machine === row.machineId);
  const was = held.pages.flatMap(({ rows }) => rows).find(({ id }) => id === row.id);
  // Events of one row may come across each other: the later entry has it, and with the same a move that is there.
  if (was && (was.seq > row.seq || (was.seq === row.seq && was.move && !row.move))) return held;
  const pages = held.pages.map((page) => ({
    ...page,
    rows: page.rows.filter(({ id }) => belongs || id !== row.id).map((there) => (there.id === row.id ? row : there)),
  }));
  const [first, ...rest] = pages;
  if (!was && belongs && words === '' && first) return { ...held, pages: [{ ...first, rows: [row, ...first.rows] }, ...rest] };
  return { ...held, pages };
}
