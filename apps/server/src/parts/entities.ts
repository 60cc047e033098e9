import type { PartAttributes } from '@patient-badger/core/parts';
import { EntitySchema } from 'typeorm';

export interface PartRow {
  id: string;
  shopId: string;
  partNumber: string;
  name: string;
  supplier: string;
  type: string;
  /** Axial module of worms, normal module of the rest: the size the search begins with. */
  moduleMm: number | null;
  attributes: PartAttributes;
  priceMinor: number;
  leadDays: number;
  stock: number;
  claims: string[];
}

export const parts = new EntitySchema<PartRow>({
  name: 'parts',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    partNumber: { type: 'text', name: 'part_number' },
    name: { type: 'text' },
    supplier: { type: 'text' },
    type: { type: 'text' },
    moduleMm: { type: 'double precision', name: 'module_mm', nullable: true },
    attributes: { type: 'jsonb' },
    priceMinor: { type: 'int', name: 'price_minor' },
    leadDays: { type: 'int', name: 'lead_days' },
    stock: { type: 'int' },
    claims: { type: 'text', array: true },
  },
});

/** What a further seller asks for a part; the part's own row holds its supplier's. */
export interface ListingRow {
  partId: string;
  supplier: string;
  priceMinor: number;
  leadDays: number;
  stock: number;
  claims: string[];
}

export const listings = new EntitySchema<ListingRow>({
  name: 'listings',
  columns: {
    partId: { type: 'uuid', name: 'part_id', primary: true },
    supplier: { type: 'text', primary: true },
    priceMinor: { type: 'int', name: 'price_minor' },
    leadDays: { type: 'int', name: 'lead_days' },
    stock: { type: 'int' },
    claims: { type: 'text', array: true },
  },
});

/** A number that a sheet names in place of a part; it need not be in the catalogue. */
export interface PartLinkRow {
  partId: string;
  kind: 'supersededBy' | 'alternative';
  toNumber: string;
}

export const partLinks = new EntitySchema<PartLinkRow>({
  name: 'part_links',
  columns: {
    partId: { type: 'uuid', name: 'part_id', primary: true },
    kind: { type: 'text', primary: true },
    toNumber: { type: 'text', name: 'to_number', primary: true },
  },
});
