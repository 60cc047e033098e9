import type { Role, ShopSettings } from '@patient-badger/contract';
import { EntitySchema } from 'typeorm';

export interface ShopRow extends ShopSettings {
  id: string;
  ownPriors: boolean;
  /** How many entries its record has taken in. */
  lastSeq?: number;
}

export const shops = new EntitySchema<ShopRow>({
  name: 'shops',
  columns: {
    id: { type: 'text', primary: true },
    name: { type: 'text' },
    currency: { type: 'text' },
    lengthUnit: { type: 'text', name: 'length_unit', default: 'mm' },
    distanceUnit: { type: 'text', name: 'distance_unit', default: 'km' },
    torqueUnit: { type: 'text', name: 'torque_unit', default: 'N·m' },
    rateMinor: { type: 'int', name: 'rate_minor', default: 0 },
    ownPriors: { type: 'boolean', name: 'own_priors', default: true },
    lastSeq: { type: 'bigint', name: 'last_seq', default: 0, select: false },
  },
});

export interface PersonRow {
  id: string;
  shopId: string;
  name: string;
  about: string;
  role: Role;
  /** Hashes, never read unless asked for by name. */
  passphrase?: string | null;
  pin?: string | null;
  retiredAt: Date | null;
  /** Since when this account is known to be one person's alone: added, taken back, or given a secret by somebody else then. */
  vouchedSince?: Date;
  addedAt?: Date;
}

export const people = new EntitySchema<PersonRow>({
  name: 'people',
  columns: {
    id: { type: 'text', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    name: { type: 'text' },
    about: { type: 'text' },
    role: { type: 'text' },
    passphrase: { type: 'text', nullable: true, select: false },
    pin: { type: 'text', nullable: true, select: false },
    retiredAt: { type: 'timestamptz', name: 'retired_at', nullable: true },
    vouchedSince: { type: 'timestamptz', name: 'vouched_since', default: () => "'epoch'", select: false },
    addedAt: { type: 'timestamptz', name: 'added_at', createDate: true },
  },
});
