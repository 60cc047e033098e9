import { because } from '@patient-badger/core';
import { bookLine } from '@patient-badger/core/job';
import { facts, modelOverrides } from '@patient-badger/core/machine';
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
    retired: z.boolean(),
  })
  .meta({ id: 'MachineModel' });
export type MachineModel = z.infer<typeof machineModel>;

/** A machine as it is written down at the counter. The id is made by the device, so sending twice is harmless. */
export const machineDraft = z
  .strictObject({
    id: z.uuid(),
    modelId: z.uuid().nullable().default(null),
    family: z.string().min(1),
    label: text.min(1, because('noMachineName')).max(120),
    serial: text.max(120).default(''),
    owner: text.max(120).default(''),
    /** How the owner is reached. */
    contact: text.max(200).default(''),
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
    retired: z.boolean(),
    /** The record into which this one was merged. */
    mergedInto: z.uuid().nullable(),
  })
  .meta({ id: 'Machine' });
export type Machine = z.infer<typeof machine>;

/** Machines with these words in name, owner or plate; of one family; the ones last worked on first. */
export const machineQuery = z.object({
  words: z.string().trim().max(100).default(''),
  family: z.string().max(80).optional(),
  /** Retired ones too. */
  retired: z.enum(['yes', 'no']).default('no'),
});
/** So many are told; the rest by further words. */
export const MOST_MACHINES = 50;
export const machinePage = z.object({ machines: z.array(machine), more: z.boolean() }).meta({ id: 'MachinePage' });
export type MachinePage = z.infer<typeof machinePage>;

/** What is changed of a machine that is on record; a field left out stays as it is. */
export const machineChange = z
  .strictObject({
    label: text.min(1, because('noMachineName')).max(120).optional(),
    serial: text.max(120).optional(),
    owner: text.max(120).optional(),
    contact: text.max(200).optional(),
    modelId: z.uuid().nullable().optional(),
    retired: z.boolean().optional(),
  })
  .meta({ id: 'MachineChange' });

/** Two records of one machine become one: everything of this one goes into the other. */
export const machineMerge = z.strictObject({ into: z.uuid() }).meta({ id: 'MachineMerge' });

const meter = z.number(because('noMeterFigure')).min(0, because('noMeterFigure')).max(1e7, because('noMeterFigure'));
/** A meter read on a day, by whoever is asked. */
export const meterReading = z
  .strictObject({
    id: z.uuid(),
    on: z.iso.date(because('notDate')),
    hours: meter.nullable(),
    km: meter.nullable(),
  })
  .refine(({ hours, km }) => hours !== null || km !== null, because('noMeterReading'))
  .meta({ id: 'MeterReading' });
export type MeterReading = z.infer<typeof meterReading>;

export const modelDraft = z
  .strictObject({
    id: z.uuid(),
    maker: text.min(1, because('noMaker')).max(80),
    code: text.min(1, because('noModelCode')).max(80),
    family: z.string().min(1, because('noFamily')).max(80),
    note: text.max(2000).nullable().default(null),
    overrides: modelOverrides.nullable().default(null),
  })
  .meta({ id: 'ModelDraft' });
export type ModelDraft = z.infer<typeof modelDraft>;

export const modelChange = z
  .strictObject({
    maker: text.min(1, because('noMaker')).max(80).optional(),
    code: text.min(1, because('noModelCode')).max(80).optional(),
    note: text.max(2000).nullable().optional(),
    overrides: modelOverrides.nullable().optional(),
    retired: z.boolean().optional(),
  })
  .meta({ id: 'ModelChange' });

/** A line of the model book with where it comes from. */
export const writtenLine = z.object({
  line: bookLine,
  /** The job, or the name of a sheet or another shop. */
  source: z.string(),
  jobId: z.uuid().nullable(),
  by: z.string().nullable(),
  at: z.iso.datetime(),
});
export const bookPage = z.object({ lines: z.array(writtenLine), jobs: z.int(), machines: z.int() }).meta({ id: 'BookPage' });
export type BookPage = z.infer<typeof bookPage>;

/** So many lines go into a book at once, and so many a book may have. */
const MOST_LINES = 400;
/** What a job learnt, as somebody confirmed it; or lines off a sheet. */
export const bookWriting = z
  .strictObject({ jobId: z.uuid().nullable(), source: text.max(120).default(''), lines: z.array(bookLine).min(1).max(MOST_LINES) })
  .refine(({ jobId, source }) => jobId !== null || source !== '', because('noSource'))
  .meta({ id: 'BookWriting' });
export const bookTakenOut = z.strictObject({ key: z.string().max(200), source: z.string().max(120) }).meta({ id: 'BookTakenOut' });

/** A model book as a file that another shop brings in. */
export const modelBookFile = z
  .strictObject({
    format: z.literal('patient-badger-model-book'),
    version: z.literal(1),
    model: z.strictObject({
      maker: text.min(1).max(80),
      code: text.min(1).max(80),
      family: z.string().min(1).max(80),
      note: text.max(2000).nullable(),
      overrides: modelOverrides.nullable(),
    }),
    from: text.min(1).max(80),
    lines: z.array(z.strictObject({ line: bookLine, at: z.iso.datetime(), source: z.string().max(120) })).max(5000),
  })
  .meta({ id: 'ModelBookFile' });
export type ModelBookFile = z.infer<typeof modelBookFile>;

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
    /** What it wants again, the last word on each. */
    intervals: z.array(
      z.object({
        what: z.string(),
        every: z.object({ days: z.int().optional(), units: z.number().optional() }),
        unit: z.enum(['hours', 'km']).optional(),
        reading: z.number().optional(),
        source: z.string().optional(),
        at: z.string(),
      }),
    ),
    /** Read by hand and at take-ins, newest first. */
    meters: z.array(z.object({ on: z.string(), hours: z.number().nullable(), km: z.number().nullable() })),
    /** What it works in a year by its meters; null where they were not watched for long enough. */
    yearly: z.object({ hours: z.number().nullable(), km: z.number().nullable() }),
  })
  .meta({ id: 'MachineHistory' });
export type MachineHistory = z.infer<typeof machineHistory>;
