import { benchMove, entry } from '@patient-badger/core/job';
import { z } from 'zod';

/** A job is its entries; what it is now is folded from them, here and on the server alike. */
export const job = z
  .object({ id: z.uuid(), machineId: z.uuid(), family: z.string(), safetyCritical: z.boolean().default(false), entries: z.array(entry) })
  .meta({ id: 'Job' });
export type Job = z.infer<typeof job>;

/** What a list shows of a job. Kept beside its entries, so that no list reads them. */
export const jobRow = z
  .object({
    id: z.uuid(),
    machineId: z.uuid(),
    family: z.string(),
    label: z.string(),
    owner: z.string(),
    complaint: z.string(),
    takenInAt: z.string().nullable(),
    closedAt: z.string().nullable(),
    /** The day it was promised for. */
    promisedOn: z.iso.date().nullable(),
    /** What was found, of a finished job. */
    found: z.string().nullable(),
    outcome: z.string().nullable(),
    /** The soonest thing to be looked at again, or asked; finished or not. */
    followUp: z.object({ due: z.iso.date(), action: z.enum(['look', 'call']), what: z.string() }).nullable(),
    /** The last of its entries in the shop's record. */
    seq: z.int(),
    /** What can be done next; null while it is being worked out. */
    move: benchMove.nullable(),
  })
  .meta({ id: 'JobRow' });
export type JobRow = z.infer<typeof jobRow>;

/** A page holds so many rows unless asked for fewer. */
export const ROWS_A_PAGE = 50;

export const jobPage = z.object({ rows: z.array(jobRow), next: z.string().nullable() }).meta({ id: 'JobPage' });
export type JobPage = z.infer<typeof jobPage>;

const search = z.string().trim().max(100);

/** Which rows: of one state, of one machine, those with these words; `after` is the `next` of the page before. */
export const jobQuery = z.object({
  state: z.enum(['open', 'closed']).optional(),
  machine: z.uuid().optional(),
  words: search.default(''),
  /** Of the open ones: those that wait for a part, or those that can be moved on now. */
  waits: z.enum(['yes', 'no']).optional(),
  /** Those with something to be looked at again, the soonest first, finished ones too. */
  again: z.enum(['yes']).optional(),
  after: z.string().max(100).optional(),
  most: z.coerce.number().int().min(1).max(ROWS_A_PAGE).default(ROWS_A_PAGE),
});
export type JobQuery = z.output<typeof jobQuery>;

/** Entries sent at once. */
export const MOST_ENTRIES = 200;
export const entryBatch = z.array(z.unknown()).min(1).max(MOST_ENTRIES);

/** What became of each entry sent: stored, known from before, or refused with a sentence. */
export const entryReceipt = z
  .object({
    id: z.string(),
    /** Unsigned: kept on the device until its writer has given their PIN for it. */
    status: z.enum(['stored', 'known', 'refused', 'unsigned']),
    /** Its place in the shop's record. */
    seq: z.int().optional(),
    path: z.string().optional(),
    sentence: z.string().optional(),
  })
  .meta({ id: 'EntryReceipt' });
export type EntryReceipt = z.infer<typeof entryReceipt>;
