import { entry } from '@patient-badger/core';
import { z } from 'zod';

/** A job is its entries; what it is now is folded from them, here and on the server alike. */
export const job = z.object({ id: z.uuid(), machineId: z.uuid(), family: z.string(), entries: z.array(entry) }).meta({ id: 'Job' });
export type Job = z.infer<typeof job>;

export const entryBatch = z.array(z.unknown()).min(1).max(200);

/** What became of each entry sent: stored, known from before, or refused with a sentence. */
export const entryReceipt = z
  .object({
    id: z.string(),
    status: z.enum(['stored', 'known', 'refused']),
    path: z.string().optional(),
    sentence: z.string().optional(),
  })
  .meta({ id: 'EntryReceipt' });
export type EntryReceipt = z.infer<typeof entryReceipt>;
