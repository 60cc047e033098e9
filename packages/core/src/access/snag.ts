import { z } from 'zod';
import { LOOSE_KINDS } from './step.ts';

/** Something that will not come off as it should, and what people do about it, mildest first. */
export const snag = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  /** The kinds of loose parts it happens to. */
  kinds: z.array(z.enum(LOOSE_KINDS)).min(1),
  remedies: z
    .array(
      z.strictObject({
        name: z.string().min(1),
        how: z.string().min(1),
        minutes: z.number().positive(),
        risk: z.string().min(1),
        /** Not near these: plastic, fuel, an airbag. */
        notNear: z.array(z.enum(['plastic', 'fuel', 'airbag', 'seal'])).default([]),
      }),
    )
    .min(1),
});
export type Snag = z.infer<typeof snag>;
