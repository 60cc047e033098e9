import { EntitySchema } from 'typeorm';

export interface PhotoRow {
  shopId: string;
  hash: string;
  type: 'image/png' | 'image/jpeg';
  width: number;
  height: number;
  bytes: Buffer;
  preview: Buffer;
}

export const photos = new EntitySchema<PhotoRow>({
  name: 'photos',
  columns: {
    shopId: { type: 'text', name: 'shop_id', primary: true },
    hash: { type: 'text', primary: true },
    type: { type: 'text' },
    width: { type: 'int' },
    height: { type: 'int' },
    bytes: { type: 'bytea' },
    preview: { type: 'bytea' },
  },
});
