import { z } from 'zod';

/** So many of each kind are told; more words narrow it down. */
export const FOUND_OF_EACH = 6;
export const foundQuery = z.object({ words: z.string().trim().max(100).default('') });

/** What one search over everything found. */
export const found = z
  .object({
    machines: z.array(z.object({ id: z.uuid(), label: z.string(), owner: z.string(), serial: z.string(), retired: z.boolean() })),
    /** Numbers read off machines. */
    plates: z.array(z.object({ machineId: z.uuid(), label: z.string(), partNumber: z.string(), where: z.string() })),
    jobs: z.array(z.object({ id: z.uuid(), label: z.string(), owner: z.string(), complaint: z.string(), closed: z.boolean() })),
    parts: z.array(z.object({ id: z.uuid(), partNumber: z.string(), name: z.string(), supplier: z.string() })),
    models: z.array(z.object({ id: z.uuid(), name: z.string(), note: z.string().nullable() })),
    /** Nothing begins with these words; what was found comes near them. */
    near: z.boolean(),
  })
  .meta({ id: 'Found' });
export type SearchHit = z.infer<typeof found>;
