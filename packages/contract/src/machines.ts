import { facts, modelOverrides } from '@patient-badger/core';
import { z } from 'zod';

const text = z.string().trim();

export const machineModel = z
  .object({
    id: z.uuid(),
    maker: text,
    code: text,
    family: z.string(),
    note: text.nullable(),
    /** What it has otherwise than its family: tooth counts, materials, steps. */
    overrides: modelOverrides.nullable(),
  })
  .meta({ id: 'MachineModel' });
export type MachineModel = z.infer<typeof machineModel>;

/** A machine as it is written down at the counter. The id is made by the device, so sending twice is harmless. */
export const machineDraft = z
  .strictObject({
    id: z.uuid(),
    modelId: z.uuid().nullable().default(null),
    family: z.string().min(1),
    label: text.min(1, 'Give the machine a name you will know it by.').max(120),
    serial: text.max(120).default(''),
    owner: text.max(120).default(''),
    facts: facts.default({}),
  })
  .meta({ id: 'MachineDraft' });
export type MachineDraft = z.infer<typeof machineDraft>;

export const machine = z
  .object({
    ...machineDraft.shape,
    modelName: z.string().nullable(),
    /** The instruments of the bench can be put on it. */
    instruments: z.boolean(),
  })
  .meta({ id: 'Machine' });
export type Machine = z.infer<typeof machine>;
