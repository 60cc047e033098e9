import { z } from 'zod';
import { name } from '../quantity/bounds.ts';
import { packSchema } from './pack.ts';

export const wordsInput = z.strictObject({
  /** As somebody says or types them. */
  words: z.string().max(2000),
  /** Among these families; all where none is named. */
  families: z
    .array(z.union([name, packSchema]))
    .max(60)
    .default([]),
  most: z.int().min(1).max(60).default(3),
});

export const wordsOutput = z.object({
  /** Best first; `says` is the sentence of the family that comes nearest, `score` only orders. */
  matches: z.array(
    z.object({ family: z.string(), complaints: z.array(z.object({ complaint: z.string(), says: z.string() })), score: z.number() }),
  ),
});
