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

/** Machines with these words in name, owner or plate; of one family; the ones last worked on first. */
export const machineQuery = z.object({
  words: z.string().trim().max(100).default(''),
  family: z.string().max(80).optional(),
});
/** So many are told; the rest by further words. */
export const MOST_MACHINES = 50;
export const machinePage = z.object({ machines: z.array(machine), more: z.boolean() }).meta({ id: 'MachinePage' });
export type MachinePage = z.infer<typeof machinePage>;

const since = z.number().optional();
/** What is known of one machine from all its jobs. */
export const machineHistory = z
  .object({
    parts: z.array(
      z.object({
        jobId: z.uuid(),
        gear: z.string(),
        partNumber: z.string(),
        at: z.string(),
        state: z.enum(['fitted', 'accepted']),
        fromShelf: z.boolean(),
        hours: since,
        km: since,
        workedHours: since,
        workedKm: since,
      }),
    ),
    plates: z.array(z.object({ partNumber: z.string(), where: z.string(), at: z.string() })),
    again: z.array(z.object({ gear: z.string(), times: z.int() })),
  })
  .meta({ id: 'MachineHistory' });
export type MachineHistory = z.infer<typeof machineHistory>;
