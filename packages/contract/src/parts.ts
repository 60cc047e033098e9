import { because } from '@patient-badger/core';
import { partAttributes, matchFitOutput, PART_TYPES } from '@patient-badger/core/parts';
import { z } from 'zod';

/** What one seller says and asks. */
const offer = {
  supplier: z.string(),
  priceMinor: z.int(),
  leadDays: z.int(),
  stock: z.int(),
  /** Machine models the seller says it fits: evidence, never proof. */
  claims: z.array(z.string()),
};
export const listing = z.object(offer).meta({ id: 'Listing' });
export type Listing = z.infer<typeof listing>;

/** Another part that a sheet names in place of this one; null where the catalogue does not hold it. */
export const partLink = z
  .object({
    kind: z.enum(['supersededBy', 'alternative']),
    partNumber: z.string(),
    part: z.object({ id: z.uuid(), name: z.string(), attributes: partAttributes }).nullable(),
  })
  .meta({ id: 'PartLink' });
export type PartLink = z.infer<typeof partLink>;

/** A part under its supplier's number and offer, with what other sellers ask for it. */
export const part = z
  .object({
    id: z.uuid(),
    partNumber: z.string(),
    name: z.string(),
    attributes: partAttributes,
    ...offer,
    listings: z.array(listing),
    links: z.array(partLink),
  })
  .meta({ id: 'Part' });
export type Part = z.infer<typeof part>;

export const partSearch = z
  .strictObject({
    wanted: partAttributes,
    machineModel: z.string().optional(),
    /** Words of the name or supplier, or the beginning of a number. */
    text: z.string().trim().max(80).optional(),
    /** Only what goes in as it is, or what goes in after named work too; what is not known may still fit. */
    only: z.enum(['asIs', 'afterWork']).optional(),
    inStock: z.boolean().default(false),
    /** Numbers read off the machine: judged and answered, however ill they fit. */
    numbers: z.array(z.string().max(80)).max(8).default([]),
    limit: z.int().min(1).max(50).default(20),
  })
  .meta({ id: 'PartSearch' });
export type PartSearch = z.input<typeof partSearch>;

export const partMatch = z
  .object({
    part,
    fit: matchFitOutput,
    /** Sellers that say it fits the machine. */
    claimedBy: z.array(z.string()),
    /** Deliveries under this number that were refused in this shop. */
    refusedBefore: z.int(),
  })
  .meta({ id: 'PartMatch' });
export type PartMatch = z.infer<typeof partMatch>;

/** Earlier deliveries under a part number that were refused in this shop, latest first. */
export const refusals = z
  .array(z.object({ jobId: z.uuid(), at: z.iso.datetime(), by: z.string(), deciding: z.string(), note: z.string() }))
  .meta({ id: 'Refusals' });
export type Refusals = z.infer<typeof refusals>;

/** One row of a list that is brought in: a part as one seller offers it. Further rows of the same number are further sellers. */
export const partDraft = z
  .strictObject({
    partNumber: z.string().min(1).max(80),
    name: z.string(),
    /** What it is has to be said: a part without a kind could never be found. */
    attributes: partAttributes.required({ type: true }),
    ...offer,
    supersededBy: z.string().max(80).optional(),
    alternatives: z.array(z.string().max(80)).optional(),
  })
  .meta({ id: 'PartDraft' });
export type PartDraftSent = z.infer<typeof partDraft>;

export const DUPLICATES = ['replace', 'skip', 'refuse'] as const;
/** What to do with a part number that is in the catalogue already. */
export const importQuery = z.object({
  duplicates: z.enum(DUPLICATES),
  /** The list that was sent in pieces; the body is the list where none is named. */
  upload: z.uuid().optional(),
});
/** How many bytes of a list have come. */
export const uploadState = z.object({ size: z.int() }).meta({ id: 'UploadState' });
export type Duplicates = (typeof DUPLICATES)[number];

/** How many of the made-up parts of the first visit are in the catalogue, or were taken out. */
export const sampleParts = z.object({ count: z.int() }).meta({ id: 'SampleParts' });

export const importReceipt = z.object({ added: z.int(), replaced: z.int(), skipped: z.int() });
/** How far a list has come; it counts only once it is done. */
export const importState = z
  .object({
    id: z.uuid(),
    state: z.enum(['running', 'done', 'failed', 'cancelled']),
    done: z.int(),
    total: z.int(),
    receipt: importReceipt.nullable(),
    sentence: z.string().nullable(),
  })
  .meta({ id: 'ImportState' });
export type ImportState = z.infer<typeof importState>;

/** A page of the catalogue, as it is asked for in an address. */
export const partList = z.object({
  text: z.string().trim().max(80).optional(),
  kind: z.enum(PART_TYPES).optional(),
  teeth: z.coerce.number().int().min(1).max(5000).optional(),
  order: z.enum(['partNumber', 'price', 'size']).default('partNumber'),
  down: z.enum(['yes', 'no']).default('no'),
  /** The last part of the page before. */
  after: z.uuid().optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
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
      .refine((change) => Object.values(change).some((each) => each !== undefined), because('noChange')),
  })
  .meta({ id: 'PartChange' });
export type PartChange = z.input<typeof partChange>;
export const partChanged = z.object({ changed: z.int() }).meta({ id: 'PartChanged' });
