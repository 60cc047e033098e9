/** What a machine's use, and a part's life, is counted in. */
export const USE_UNITS = ['hours', 'km', 'years'] as const;
export type UseUnit = (typeof USE_UNITS)[number];

/** So many hours a machine works in a year, and so far it goes in one of them, where nothing else is known (guides). */
export const HOURS_A_YEAR = 50;
const KM_AN_HOUR = 150;

const AN_HOUR: Readonly<Record<UseUnit, number>> = { hours: 1, km: KM_AN_HOUR, years: 1 / HOURS_A_YEAR };

/** An amount of use told in another unit, by what is usual (guides). */
export const inUseUnit = (amount: number, from: UseUnit, to: UseUnit): number =>
  from === to ? amount : (amount / AN_HOUR[from]) * AN_HOUR[to];

/** What a machine's meters say of its use in a year; null where they were not watched long enough. */
interface UseReading {
  readonly hours: number | null;
  readonly km: number | null;
}

/** How much a machine is used in a year: by its own meters, distance before hours, else a guide. */
export const usualUse = (yearly: UseReading | undefined): { readonly perYear: number; readonly unit: UseUnit } =>
  yearly?.km ? { perYear: yearly.km, unit: 'km' } : { perYear: yearly?.hours ?? HOURS_A_YEAR, unit: 'hours' };
