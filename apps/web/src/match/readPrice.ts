import { t } from '@patient-badger/wording/orders';
import { typedNumber } from '../design/typedNumber.ts';

/** What a seller said, as it stands in the fields. */
export interface TypedPrice {
  readonly supplier: string;
  readonly price: string;
  readonly days: string;
}

const [MOST, MOST_DAYS] = [1e6, 3650];

export interface SaidPrice {
  readonly supplier: string;
  readonly priceMinor: number;
  readonly leadDays: number;
}
export type ReadPrice = { readonly said: SaidPrice } | { readonly problems: Readonly<Partial<Record<keyof TypedPrice, string>>> };

/** A price as it was said; or what is wrong with which field. */
export function readPrice({ supplier, price, days }: TypedPrice): ReadPrice {
  const [amount, wait] = [price.trim() === '' ? NaN : typedNumber(price), days.trim() === '' ? NaN : typedNumber(days)];
  const problems = {
    ...(supplier.trim() === '' && { supplier: t.fromWhom }),
    ...(!(amount >= 0 && amount <= MOST) && { price: t.priceAsAFigure }),
    ...(!(Number.isInteger(wait) && wait >= 0 && wait <= MOST_DAYS) && { days: t.daysAsAFigure }),
  };
  if (Object.keys(problems).length > 0) return { problems };
  return { said: { supplier: supplier.trim(), priceMinor: Math.round(amount * 100), leadDays: wait } };
}
