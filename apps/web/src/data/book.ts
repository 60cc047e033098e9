import { modelBook, type GearInBook, type ModelBook } from '@patient-badger/core/job';
import { bookPage, type BookPage } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './api.ts';

interface Book {
  readonly page: BookPage;
  readonly book: ModelBook;
}

/** What jobs have taught of a model; nothing where the machine has none. */
export function useBook(modelId: string | null | undefined): { readonly data: Book | undefined; readonly error: Error | null } {
  const { data: page, error } = useQuery({
    queryKey: ['book', modelId],
    queryFn: () => call(`/api/models/${modelId}/book`, bookPage),
    enabled: typeof modelId === 'string',
    staleTime: 60_000,
  });
  const data = useMemo(() => page && { page, book: modelBook(page.lines) }, [page]);
  return { data, error };
}

/** What the book says of one gear of the machine. */
export const useGearInBook = (modelId: string | null | undefined, gear: string): GearInBook | undefined =>
  useBook(modelId).data?.book.gears[gear];
