import { gearAttributes, matchFitOutput } from '@patient-badger/core';
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
