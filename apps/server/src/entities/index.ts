import type { EntryPayload, Facts, GearAttributes, HiddenTruth, ModelOverrides } from '@patient-badger/core';
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

export interface ModelRow {
  id: string;
  shopId: string;
  maker: string;
  code: string;
  family: string;
  note: string | null;
  overrides: ModelOverrides | null;
}
export const machineModels = new EntitySchema<ModelRow>({
  name: 'machine_models',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    maker: { type: 'text' },
    code: { type: 'text' },
    family: { type: 'text' },
    note: { type: 'text', nullable: true },
    overrides: { type: 'jsonb', nullable: true },
  },
});

export interface MachineRow {
  id: string;
  shopId: string;
  modelId: string | null;
  family: string;
  label: string;
  serial: string;
  owner: string;
  facts: Facts;
  /** Of made-up machines only: what the stand-ins for the instruments measure. Never sent. */
  truth: HiddenTruth | null;
}
export const machines = new EntitySchema<MachineRow>({
  name: 'machines',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    modelId: { type: 'uuid', name: 'model_id', nullable: true },
    family: { type: 'text' },
    label: { type: 'text' },
    serial: { type: 'text' },
    owner: { type: 'text' },
    facts: { type: 'jsonb' },
    truth: { type: 'jsonb', nullable: true },
  },
});

/** Machine families that the shop wrote itself. */
export interface FamilyRow {
  shopId: string;
  id: string;
  /** Counts up with each change, so that what was worked out for an older one is not used. */
  version: number;
  pack: unknown;
}
export const families = new EntitySchema<FamilyRow>({
  name: 'families',
  columns: {
    shopId: { type: 'text', name: 'shop_id', primary: true },
    id: { type: 'text', primary: true },
    version: { type: 'int' },
    pack: { type: 'jsonb' },
  },
});

export interface JobRow {
  id: string;
  shopId: string;
  machineId: string;
  family: string;
  /** Kept beside the entries so that the bench need not fold every job of the shop. */
  closed: boolean;
}
export const jobs = new EntitySchema<JobRow>({
  name: 'jobs',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    machineId: { type: 'uuid', name: 'machine_id' },
    family: { type: 'text' },
    closed: { type: 'boolean' },
  },
});

export interface EntryRow {
  id: string;
  shopId: string;
  jobId: string;
  at: Date;
  by: string;
  payload: EntryPayload;
}
export const entries = new EntitySchema<EntryRow>({
  name: 'entries',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    at: { type: 'timestamptz' },
    by: { type: 'text' },
    payload: { type: 'jsonb' },
  },
});

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

export interface PartRow {
  id: string;
  shopId: string;
  partNumber: string;
  name: string;
  supplier: string;
  type: string;
  /** Axial module of worms, normal module of the rest: the size the search begins with. */
  moduleMm: number | null;
  attributes: GearAttributes;
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

export interface ShelfRow {
  id: string;
  shopId: string;
  name: string;
  attributes: GearAttributes;
  cameFrom: string;
  machineId: string | null;
  workedHours: number | null;
  workedKm: number | null;
  condition: 'good' | 'worn' | 'notMeasured';
  place: string;
  inside: boolean;
  note: string;
  by: string;
  addedAt: Date;
  gone: string | null;
}
export const shelf = new EntitySchema<ShelfRow>({
  name: 'shelf',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    name: { type: 'text' },
    attributes: { type: 'jsonb' },
    cameFrom: { type: 'text', name: 'came_from' },
    machineId: { type: 'uuid', name: 'machine_id', nullable: true },
    workedHours: { type: 'double precision', name: 'worked_hours', nullable: true },
    workedKm: { type: 'double precision', name: 'worked_km', nullable: true },
    condition: { type: 'text' },
    place: { type: 'text' },
    inside: { type: 'boolean' },
    note: { type: 'text' },
    by: { type: 'text' },
    addedAt: { type: 'timestamptz', name: 'added_at' },
    gone: { type: 'text', nullable: true },
  },
});

/** A list that is being taken in, kept in the database so that any server process can say how far it is, or stop it. */
export interface ImportRow {
  id: string;
  shopId: string;
  by: string;
  state: 'running' | 'done' | 'failed' | 'cancelled';
  done: number;
  total: number;
  receipt: { added: number; replaced: number; skipped: number } | null;
  sentence: string | null;
  cancelAsked: boolean;
  touchedAt: Date;
}
export const imports = new EntitySchema<ImportRow>({
  name: 'imports',
  columns: {
    id: { type: 'uuid', primary: true },
    shopId: { type: 'text', name: 'shop_id' },
    by: { type: 'text' },
    state: { type: 'text' },
    done: { type: 'int' },
    total: { type: 'int' },
    receipt: { type: 'jsonb', nullable: true },
    sentence: { type: 'text', nullable: true },
    cancelAsked: { type: 'boolean', name: 'cancel_asked' },
    touchedAt: { type: 'timestamptz', name: 'touched_at' },
  },
});

export const ENTITIES = [
  shops,
  people,
  machineModels,
  machines,
  families,
  jobs,
  entries,
  photos,
  parts,
  listings,
  partLinks,
  shelf,
  imports,
];
