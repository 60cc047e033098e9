import type { ShelfItem } from '@patient-badger/contract';

export const CONDITIONS: Readonly<Record<ShelfItem['condition'], string>> = {
  good: 'good',
  worn: 'worn',
  notMeasured: 'not measured',
};

/** Where a donor came from, what it has worked, how it is. @example 'Came from the old wall, has worked 180 h, worn.' */
export function pastText({ cameFrom, workedHours, workedKm, condition, note }: ShelfItem): string {
  const worked = [
    ...(workedHours === null ? [] : [`${workedHours} h`]),
    ...(workedKm === null ? [] : [`${new Intl.NumberFormat('en-IE').format(workedKm)} km`]),
  ].join(' and ');
  const past = worked === '' ? 'nobody knows how long it worked' : `has worked ${worked}`;
  return `Came from: ${cameFrom}. It ${past}; ${CONDITIONS[condition]}.${note ? ` ${note}` : ''}`.replace('It nobody', 'Nobody');
}
