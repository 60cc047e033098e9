import { because } from '@patient-badger/core';
import { partAttributes } from '@patient-badger/core/parts';
import { z } from 'zod';

const text = z.string().trim();

export const SHELF_CONDITIONS = ['good', 'worn', 'notMeasured'] as const;

/** A used gear kept for its teeth: on the shelf, or still inside a machine in the yard. The id is made by the device. */
export const shelfDraft = z
  .strictObject({
    id: z.uuid(),
    name: text.min(1, because('noItemName')).max(120),
    attributes: partAttributes,
    /** The machine it came from, in words and, where it is on record, by id. */
    cameFrom: text.min(1, because('noOrigin')).max(160),
    machineId: z.uuid().nullable().default(null),
    workedHours: z.number().min(0).max(1e6).nullable().default(null),
    workedKm: z.number().min(0).max(1e7).nullable().default(null),
    condition: z.enum(SHELF_CONDITIONS),
    place: text.min(1, because('noPlace')).max(160),
    /** It is still in that machine: taking it out costs its opening. */
    inside: z.boolean().default(false),
    note: text.max(2000).default(''),
  })
  .meta({ id: 'ShelfDraft' });
export type ShelfDraft = z.infer<typeof shelfDraft>;

export const shelfItem = z
  .object({
    ...shelfDraft.shape,
    by: z.string(),
    addedAt: z.iso.datetime(),
    /** The job it was fitted in. */
    usedIn: z.uuid().nullable(),
    /** Why it left the shelf otherwise. */
    gone: z.string().nullable(),
  })
  .meta({ id: 'ShelfItem' });
export type ShelfItem = z.infer<typeof shelfItem>;

export const shelfGone = z.strictObject({ why: text.min(1).max(200).nullable() }).meta({ id: 'ShelfGone' });
