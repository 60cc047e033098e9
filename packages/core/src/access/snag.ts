import { z } from 'zod';
import { LOOSE_KINDS } from './step.ts';
import { name, positiveUpTo, sentence } from '../quantity/bounds.ts';

/** Something that will not come off as it should, and what people do about it, mildest first. */
export const snag = z.strictObject({
  id: name,
  name: name,
  /** The kinds of loose parts it happens to. */
  kinds: z.array(z.enum(LOOSE_KINDS)).min(1),
  remedies: z
    .array(
      z.strictObject({
        name: name,
        how: sentence,
        minutes: positiveUpTo(600),
        risk: sentence,
        /** Not near these: plastic, fuel, an airbag. */
        notNear: z.array(z.enum(['plastic', 'fuel', 'airbag', 'seal'])).default([]),
      }),
    )
    .min(1),
});
export type Snag = z.infer<typeof snag>;
