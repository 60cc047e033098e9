import { t } from '@patient-badger/wording/shared';
import type { ShelfItem } from '@patient-badger/contract';
import { distanceText, type DistanceUnit } from './distance.ts';

export const CONDITIONS: Readonly<Record<ShelfItem['condition'], string>> = {
  good: 'good',
  worn: 'worn',
  notMeasured: t.notMeasured,
};

/** Neither fitted somewhere nor written off. */
export const isThere = ({ usedIn, gone }: Pick<ShelfItem, 'usedIn' | 'gone'>): boolean => usedIn === null && gone === null;

/** Where a donor came from, what it has worked, how it is. @example 'Came from: the old wall. It has worked 180 h; worn.' */
export function pastText({ cameFrom, workedHours, workedKm, condition, note }: ShelfItem, distance: DistanceUnit): string {
  const worked = [
    ...(workedHours === null ? [] : [`${workedHours} h`]),
    ...(workedKm === null ? [] : [distanceText(workedKm, distance)]),
  ].join(t.and2);
  const past = worked === '' ? t.nobodyKnowsHowLongIt : t.itHasWorked(worked);
  return t.cameFrom(cameFrom, past, CONDITIONS[condition], note ? ` ${note}` : '');
}
