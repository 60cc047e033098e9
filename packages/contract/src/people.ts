import { z } from 'zod';

export const person = z.object({ id: z.string(), name: z.string(), role: z.string() }).meta({ id: 'Person' });
export type Person = z.infer<typeof person>;

export const shop = z
  .object({ id: z.string(), name: z.string(), currency: z.string().length(3), people: z.array(person) })
  .meta({ id: 'Shop' });
export type Shop = z.infer<typeof shop>;
