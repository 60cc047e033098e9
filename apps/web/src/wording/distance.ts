import type { Shop } from '@patient-badger/contract';

type Unit = Shop['distanceUnit'];

/** International mile (agreement of 1959): exactly 1.609344 km. */
const KM_PER = { km: 1, mile: 1.609344 } as const;

export const kmFrom = (value: number, unit: Unit): number => value * KM_PER[unit];

/** A distance kept in km, as the shop reads it. @example distanceText(1609.344, 'mile') // '1,000 miles' */
export const distanceText = (km: number, unit: Unit): string =>
  `${new Intl.NumberFormat('en-IE', { maximumFractionDigits: 0 }).format(km / KM_PER[unit])} ${unit === 'km' ? 'km' : 'miles'}`;
