import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import type { EntryPayload } from '@patient-badger/core/job';
import { dimensionsOf, type PartAttributes, type PlainQuantity, type PlainType } from '@patient-badger/core/parts';
import { typedNumber } from '../design/typedNumber.ts';

type ItemEntry = Extract<EntryPayload, { kind: 'itemAdded' }>;

/** What was typed of a part, as it stands in the fields. */
export interface TypedItem {
  readonly name: string;
  readonly type: PlainType | undefined;
  readonly count: string;
  readonly price: string;
  readonly supplier: string;
  readonly partNumber: string;
  readonly sizes: Readonly<Partial<Record<PlainQuantity, string>>>;
  readonly state: ItemEntry['state'];
}

export const NO_ITEM: TypedItem = {
  name: '',
  type: undefined,
  count: '1',
  price: '',
  supplier: '',
  partNumber: '',
  sizes: {},
  state: 'ordered',
};

type Problems = Readonly<Partial<Record<'name' | 'count' | 'price' | 'supplier' | PlainQuantity, string>>>;
export type ReadItem = { readonly payload: ItemEntry } | { readonly problems: Problems };

/** How many; null where it is no whole number from 1 to 999. */
export function readCount(text: string): number | null {
  const count = typedNumber(text);
  return Number.isInteger(count) && count >= 1 && count <= 999 ? count : null;
}

/** The dimensions of its kind that were typed, mm; and what is wrong with which. */
export function readSizes({ type, sizes }: Pick<TypedItem, 'type' | 'sizes'>): {
  readonly sizes: PartAttributes;
  readonly problems: Problems;
} {
  const typed = dimensionsOf(type ? { type } : {}).filter((each) => sizes[each]?.trim());
  const read = typed.map((each) => [each, typedNumber(sizes[each] ?? '')] as const);
  return {
    sizes: Object.fromEntries(read),
    problems: Object.fromEntries(read.flatMap(([each, value]) => (value > 0 && value <= 10_000 ? [] : [[each, t.oneNumberAboveZero]]))),
  };
}

/** A part as it was typed, ready to be written; or what is wrong with which field. Price for one, lengths mm. */
export function readItem(typed: TypedItem): ReadItem {
  const name = typed.name.trim();
  const count = readCount(typed.count);
  const price = typed.price.trim() === '' ? undefined : typedNumber(typed.price);
  const { sizes, problems: wrongSizes } = readSizes(typed);
  const problems: Problems = {
    ...(name === '' && { name: shared.sayWhatItIs }),
    ...(count === null && { count: t.howManyAWholeNumber }),
    ...(price !== undefined && !(price >= 0 && price <= 1e6) && { price: t.thePriceOfOneAs }),
    ...(typed.state === 'ordered' && typed.supplier.trim() === '' && { supplier: t.fromWhomIsItComing }),
    ...wrongSizes,
  };
  if (count === null || Object.keys(problems).length > 0) return { problems };
  return {
    payload: {
      kind: 'itemAdded',
      name,
      count,
      state: typed.state,
      ...(typed.type && { type: typed.type }),
      ...(Object.keys(sizes).length > 0 && { attributes: { ...(typed.type && { type: typed.type }), ...sizes } }),
      ...(typed.partNumber.trim() && { partNumber: typed.partNumber.trim() }),
      ...(typed.supplier.trim() && { supplier: typed.supplier.trim() }),
      ...(price !== undefined && { priceMinor: Math.round(price * 100) }),
    },
  };
}
