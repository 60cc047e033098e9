import { z } from 'zod';

/** Every refusal on the wire: a code for programs, a path to the field, a sentence for people. */
export const problem = z.object({ code: z.string(), path: z.string().optional(), sentence: z.string() }).meta({ id: 'Problem' });
export type Problem = z.infer<typeof problem>;

/** Who writes: the header that names the person at the bench. */
export const PERSON_HEADER = 'x-person';
