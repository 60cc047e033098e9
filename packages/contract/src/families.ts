import { z } from 'zod';

/** A family of the shop's own, as its file says; checked again by whoever uses it. */
export const ownFamily = z.object({ id: z.string(), version: z.int(), pack: z.unknown() }).meta({ id: 'OwnFamily' });
export type OwnFamily = z.infer<typeof ownFamily>;
