import type { JobState } from '@patient-badger/core/job';
import { useMemo } from 'react';
import { useBook } from './book.ts';

/** What a seller asks for a part of this machine: a gear by its card, any other part by its name. Money in minor units. */
export interface AskedPrice {
  readonly gear?: string | undefined;
  readonly what: string;
  readonly supplier: string;
  readonly priceMinor: number;
  readonly leadDays: number;
  /** By the book of the model: asked at another job. */
  readonly isOfAnotherJob: boolean;
}

const isSame = (one: AskedPrice, other: AskedPrice) =>
  (one.gear ?? one.what) === (other.gear ?? other.what) && one.supplier === other.supplier;

/** What was asked at this job, and at others on such a machine; of one seller the latest. */
export function usePrices({ prices }: Pick<JobState, 'prices'>, modelId: string | null | undefined): readonly AskedPrice[] {
  const rest = useBook(modelId).data?.book.rest;
  return useMemo(() => {
    const here = prices.map((price): AskedPrice => ({ ...price, isOfAnotherJob: false }));
    const before = (rest ?? []).flatMap(({ line }): AskedPrice[] => (line.kind === 'price' ? [{ ...line, isOfAnotherJob: true }] : []));
    return [...here, ...before.filter((price) => !here.some((now) => isSame(now, price)))];
  }, [prices, rest]);
}
