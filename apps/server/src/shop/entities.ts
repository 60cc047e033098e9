import { EntitySchema } from 'typeorm';

export interface ShopRow {
  id: string;
  name: string;
  currency: string;
  /** How many entries its record has taken in. */
  lastSeq?: number;
}

export const shops = new EntitySchema<ShopRow>({
  name: 'shops',
  columns: {
    id: { type: 'text', primary: true },
    name: { type: 'text' },
    currency: { type: 'text' },
    lastSeq: { type: 'bigint', name: 'last_seq', default: 0, select: false },
  },
});

export interface PersonRow {
  id: string;
  shopId: string;
  name: string;
  role: string;
}

export const people = new EntitySchema<PersonRow>({
  name: 'people',
  columns: {
    id: { type: 'text', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    name: { type: 'text' },
    role: { type: 'text' },
  },
});
