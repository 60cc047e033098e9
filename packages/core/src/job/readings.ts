import { combine, type Measured } from '../quantity/measured.ts';
import type { DimensionReading } from './fold.ts';

/** All readings of a dimension as one; undefined while there is none. */
export const combined = (list: readonly DimensionReading[] | undefined): Measured | undefined =>
  list?.length ? combine(list.map(({ reading }) => reading)) : undefined;

export const given = (key: string, reading: Measured | undefined) => (reading ? { [key]: reading } : {});

/** Readings over different counts cannot be averaged: each count apart, the one read last at the end. */
export function byOver(list: readonly DimensionReading[] = []): readonly { readonly over: number; readonly reading: Measured }[] {
  const overs = [...new Set(list.flatMap(({ over }) => over ?? []).reverse())].reverse();
  return overs.map((over) => ({ over, reading: combine(list.filter((each) => each.over === over).map(({ reading }) => reading)) }));
}

/** Of readings over different counts those like the latest; null while there is none. */
export const latestOver = (list: readonly DimensionReading[] | undefined) => byOver(list).at(-1) ?? null;
