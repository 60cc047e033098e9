import type { Facts, ModelOverrides } from '@patient-badger/core/machine';
import type { HiddenTruth } from '@patient-badger/core/practice';
import { EntitySchema } from 'typeorm';
import { overridesOf } from './overrides.ts';

export interface ModelRow {
  id: string;
  shopId: string;
  maker: string;
  code: string;
  family: string;
  note: string | null;
  overrides: ModelOverrides | null;
  retiredAt: Date | null;
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
    // What earlier releases wrote lacks what came later: read through its schema, whoever reads it.
    overrides: { type: 'jsonb', nullable: true, transformer: { to: (value: unknown) => value, from: overridesOf } },
    retiredAt: { type: 'timestamptz', name: 'retired_at', nullable: true },
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
  /** How the owner is reached. */
  contact: string;
  facts: Facts;
  /** Of made-up machines only: what the stand-ins for the instruments measure. Never sent. */
  truth: HiddenTruth | null;
  retiredAt: Date | null;
  /** The record that holds everything of this one since two were made one. */
  mergedInto: string | null;
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
    contact: { type: 'text', default: '' },
    facts: { type: 'jsonb' },
    truth: { type: 'jsonb', nullable: true },
    retiredAt: { type: 'timestamptz', name: 'retired_at', nullable: true },
    mergedInto: { type: 'uuid', name: 'merged_into', nullable: true },
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
