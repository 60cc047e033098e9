import { partPage, type Part } from '@patient-badger/contract';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { call } from '../data/api.ts';

/** Rows asked for at a time; the next are fetched before the last of them is reached. */
const PAGE = 100;

export type Order = 'partNumber' | 'price' | 'size';

export interface CatalogueQuery {
  readonly text: string;
  readonly teeth: string;
  readonly order: Order;
  readonly down: boolean;
}

/** The catalogue, page after page as it is scrolled through. */
export function useCatalogue({ text, teeth, order, down }: CatalogueQuery) {
  const query = new URLSearchParams({
    ...(text.trim() && { text: text.trim() }),
    ...(/^\d{1,4}$/.test(teeth.trim()) && { teeth: teeth.trim() }),
    order,
    down: down ? 'yes' : 'no',
    limit: String(PAGE),
  }).toString();
  const pages = useInfiniteQuery({
    queryKey: ['catalogue', query],
    queryFn: ({ pageParam }) => call(`/api/parts?${query}${pageParam && `&after=${pageParam}`}`, partPage),
    initialPageParam: '',
    getNextPageParam: (last: readonly Part[]) => (last.length < PAGE ? null : last.at(-1)?.id),
    placeholderData: keepPreviousData,
  });
  return { ...pages, parts: pages.data?.pages.flat() ?? [] };
}
