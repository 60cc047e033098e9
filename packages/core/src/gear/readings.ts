import { combine, FINEST, type Measurement } from '../quantity/measured.ts';

/** One reading of one dimension off one gear. */
export interface DimensionReading {
  readonly entryId: string;
  readonly reading: Measurement;
  /** Pitches or teeth measured over, or teeth of the mate at the measured centre distance. */
  readonly over?: number;
  readonly instrument: string;
  readonly entered: string;
}

/** Readings of each quantity, oldest first. */
export type Readings<Quantity extends string> = Readonly<Partial<Record<Quantity, readonly DimensionReading[]>>>;

/** All readings of a dimension as one; undefined while there is none. */
export const combined = (list: readonly DimensionReading[] | undefined): Measurement | undefined =>
  list?.length ? combine(list.map(({ reading }) => reading)) : undefined;

export const given = (key: string, reading: Measurement | undefined) => (reading ? { [key]: reading } : {});

/** Readings over different counts cannot be averaged: each count apart, the one read last at the end. */
export function byOver(list: readonly DimensionReading[] = []): readonly { readonly over: number; readonly reading: Measurement }[] {
  const overs = [...new Set(list.flatMap(({ over }) => over ?? []).reverse())].reverse();
  return overs.map((over) => ({ over, reading: combine(list.filter((each) => each.over === over).map(({ reading }) => reading)) }));
}

/** Of readings over different counts those like the latest; null while there is none. */
export const latestOver = (list: readonly DimensionReading[] | undefined) => byOver(list).at(-1) ?? null;

/** Readings of one dimension this many of their own ± apart were not taken of the same thing, or one of them slipped. */
const APART = 4;

/** How far readings of one dimension lie apart where that is more than their ± can explain; null where they agree. */
export function disagreement(list: readonly DimensionReading[] = []): number | null {
  const overs = [...new Set(list.map(({ over }) => over))];
  const worst = overs.map((over) => {
    const values = list.filter((each) => each.over === over).map(({ reading }) => reading);
    const apart = Math.max(...values.map(({ value }) => value)) - Math.min(...values.map(({ value }) => value));
    const error = Math.max(FINEST, ...values.map(({ plusMinus }) => plusMinus));
    return apart > APART * error ? apart : 0;
  });
  const most = Math.max(0, ...worst);
  return most > 0 ? most : null;
}

/** What was counted last; undefined while nothing was. */
export const countOf = (list: readonly DimensionReading[] | undefined) => list?.at(-1)?.reading.value;
