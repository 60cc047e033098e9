import { t } from '@patient-badger/wording/match';
import type { Listing, Part } from '@patient-badger/contract';

/** What every seller asks for a part, the cheapest first. */
export const offersOf = ({ supplier, priceMinor, leadDays, stock, claims, listings }: Part): readonly Listing[] =>
  [{ supplier, priceMinor, leadDays, stock, claims }, ...listings].sort((p, q) => p.priceMinor - q.priceMinor);

/** How soon it can be here. */
export const waitText = ({ stock, leadDays }: Pick<Listing, 'stock' | 'leadDays'>): string => {
  if (stock > 0) return t.there(stock);
  return leadDays === 0 ? t.noneThere : t.noneThereWithLeadDaysAndMore(leadDays, leadDays === 1 ? 'day' : 'days');
};
