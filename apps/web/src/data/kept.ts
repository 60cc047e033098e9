import type { Query, QueryClient } from '@tanstack/react-query';

/** Lists of which only the plain one is kept, not what was once sought for. */
const PLAIN = new Set(['rows', 'machines']);
const WHOLE = new Set(['shop', 'families', 'models', 'shelf', 'machine-counts', 'verdicts']);
/** Of each of these the ones read last. */
export const MOST_KEPT: Readonly<Record<string, number>> = { job: 40, machine: 60, 'machine-history': 20, part: 40, book: 20 };

/**
 * What of all that was read is kept on the device for work without a connection: the shop, the plain lists,
 * and the jobs that were open last. Bounded, however many years the shop has.
 */
export function isKept(client: QueryClient): (query: Query) => boolean {
  return ({ queryKey: [name, asked], state, queryHash }) => {
    // What could not be asked for again just now is still what was read last.
    if (state.data === undefined || typeof name !== 'string') return false;
    if (WHOLE.has(name)) return true;
    if (PLAIN.has(name)) return isPlain(asked);
    const most = MOST_KEPT[name];
    if (most === undefined) return false;
    const newer = client
      .getQueryCache()
      .findAll({ queryKey: [name] })
      .filter((other) => other.queryHash !== queryHash && other.state.dataUpdatedAt > state.dataUpdatedAt);
    return newer.length < most;
  };
}

const isPlain = (asked: unknown): boolean => {
  const given = typeof asked === 'string' ? Object.fromEntries(new URLSearchParams(asked)) : (asked as Record<string, string>);
  return !given.words && !given.machine && !given.family && !given.retired;
};

/** Of a list that was gone through page by page the first ones. */
const MOST_PAGES = 2;

/** What is written to the device of the data of one query. */
export function keptOf(data: unknown): unknown {
  const { pages, pageParams } = (data ?? {}) as Partial<Record<'pages' | 'pageParams', unknown>>;
  if (!Array.isArray(pages) || !Array.isArray(pageParams)) return data;
  return { pages: pages.slice(0, MOST_PAGES), pageParams: pageParams.slice(0, MOST_PAGES) };
}
