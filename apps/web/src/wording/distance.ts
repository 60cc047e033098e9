import type { Shop } from '@patient-badger/contract';
import type { UseUnit } from '@patient-badger/core';

export type DistanceUnit = Shop['distanceUnit'];

/** International mile (agreement of 1959): exactly 1.609344 km. */
const KM_PER = { km: 1, mile: 1.609344 } as const;

export const kmFrom = (value: number, unit: DistanceUnit): number => value * KM_PER[unit];
const fromKm = (km: number, unit: DistanceUnit): number => km / KM_PER[unit];

export const distanceWord = (unit: DistanceUnit): 'km' | 'miles' => (unit === 'km' ? 'km' : 'miles');

/** What a use or a life is counted in, as the shop reads it. */
export const unitWord = (unit: UseUnit, distance: DistanceUnit): string => (unit === 'km' ? distanceWord(distance) : unit);

/** An amount of use as it is kept, in what the shop reads; and back. */
export const shownAmount = (amount: number, unit: UseUnit, distance: DistanceUnit): number =>
  unit === 'km' ? fromKm(amount, distance) : amount;
export const keptAmount = (amount: number, unit: UseUnit, distance: DistanceUnit): number =>
  unit === 'km' ? kmFrom(amount, distance) : amount;

/** An amount of use with its unit, as the shop reads it; to so many decimals at most. */
export const amountText = (
  { amount, unit, decimals = 3 }: { readonly amount: number; readonly unit: UseUnit; readonly decimals?: number },
  distance: DistanceUnit,
): string => `${shownAmount(amount, unit, distance).toLocaleString('en', { maximumFractionDigits: decimals })} ${unitWord(unit, distance)}`;

/** A distance kept in km, as the shop reads it. @example distanceText(1609.344, 'mile') // '1,000 miles' */
export const distanceText = (km: number, unit: DistanceUnit): string => amountText({ amount: km, unit: 'km', decimals: 0 }, unit);
