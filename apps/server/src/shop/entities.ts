import { EntitySchema } from 'typeorm';

export interface ShopRow {
  id: string;
  name: string;
  currency: string;
}

export const shops = new EntitySchema<ShopRow>({
  name: 'shops',
  columns: { id: { type: 'text', primary: true }, name: { type: 'text' }, currency: { type: 'text' } },
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
