import { gearAttributes, matchFitOutput, PART_TYPES } from '@patient-badger/core';
import { z } from 'zod';

export const part = z
  .object({
    id: z.uuid(),
    partNumber: z.string(),
    name: z.string(),
    supplier: z.string(),
    attributes: gearAttributes,
    priceMinor: z.int(),
    leadDays: z.int(),
    stock: z.int(),
    /** Machine models the seller says it fits: evidence, never proof. */
    claims: z.array(z.string()),
  })
  .meta({ id: 'Part' });
export type Part = z.infer<typeof part>;

export const partSearch = z
  .strictObject({ wanted: gearAttributes, machineModel: z.string().optional(), most: z.int().min(1).max(50).default(20) })
  .meta({ id: 'PartSearch' });
export type PartSearch = z.input<typeof partSearch>;

export const partMatch = z.object({ part, fit: matchFitOutput }).meta({ id: 'PartMatch' });
export type PartMatch = z.infer<typeof partMatch>;

/** Earlier deliveries under a part number that were refused in this shop, latest first. */
export const refusals = z
  .array(z.object({ jobId: z.uuid(), at: z.iso.datetime(), by: z.string(), deciding: z.string(), note: z.string() }))
  .meta({ id: 'Refusals' });
export type Refusals = z.infer<typeof refusals>;

/** Parts of a list, all or none; what to do with a part number that is there already. */
export const partImport = z
  .strictObject({
    parts: z
      .array(part.omit({ id: true }).extend({ partNumber: z.string().min(1).max(80) }))
      .min(1)
      .max(100_000),
    duplicates: z.enum(['replace', 'skip', 'refuse']),
  })
  .meta({ id: 'PartImport' });
export type PartImport = z.input<typeof partImport>;

export const importReceipt = z.object({ added: z.int(), replaced: z.int(), skipped: z.int() }).meta({ id: 'ImportReceipt' });
export type ImportReceipt = z.infer<typeof importReceipt>;

/** A page of the catalogue, as it is asked for in an address. */
export const partList = z.object({
  text: z.string().trim().max(80).optional(),
  kind: z.enum(PART_TYPES).optional(),
  teeth: z.coerce.number().int().min(1).max(5000).optional(),
  order: z.enum(['partNumber', 'price', 'size']).default('partNumber'),
  from: z.coerce.number().int().min(0).max(100_000).default(0),
  most: z.coerce.number().int().min(1).max(200).default(50),
});
export const partPage = z.array(part).meta({ id: 'PartPage' });

/** What is changed alike on several parts. */
export const partChange = z
  .strictObject({
    ids: z.array(z.uuid()).min(1).max(5000),
    change: z
      .strictObject({
        supplier: z.string().min(1).max(80).optional(),
        stock: z.int().min(0).max(1_000_000).optional(),
        leadDays: z.int().min(0).max(1000).optional(),
        pricePercent: z.number().gt(-100).max(1000).optional(),
      })
      .refine((change) => Object.values(change).some((each) => each !== undefined), { message: 'Say what to change.' }),
  })
  .meta({ id: 'PartChange' });
export type PartChange = z.input<typeof partChange>;
export const partChanged = z.object({ changed: z.int() }).meta({ id: 'PartChanged' });
