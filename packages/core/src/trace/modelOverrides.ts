import { z } from 'zod';
import { closingStep, step } from '../access/step.ts';
import { body, jointSchema } from '../driveline/schema.ts';
import { countUpTo, id, name, positiveUpTo, sentence } from '../quantity/bounds.ts';
import { auxiliary, branch, caution, fault, look, state } from './packParts.ts';

const byId = <T extends z.ZodType>(change: T) => z.record(name, change).default({});
const teeth = countUpTo(10_000).optional();
const positive = positiveUpTo(10_000).optional();
const material = name.optional();
const ids = z.array(id).max(60);
const minutes = z.number().min(0).max(600).optional();

/** What one machine model has otherwise than its family: counts, materials, steps it does not have or that take longer. */
export const modelOverrides = z.strictObject({
  bodies: byId(z.strictObject({ name: name.optional(), material })),
  joints: byId(
    z.strictObject({
      teethA: teeth,
      teethB: teeth,
      starts: teeth,
      teeth,
      moduleMm: positive,
      leadMm: positive,
      ratio: positive,
      travelMm: positive,
      travelDeg: positive,
      material,
    }),
  ),
  steps: byId(z.strictObject({ minutes, how: sentence.optional() })),
  /** Steps this model is spared: what needed them needs what they needed. */
  withoutSteps: z.array(name).max(30).default([]),
  /** How often each fault is the one on this model, against the others. */
  faults: byId(z.strictObject({ prior: positiveUpTo(1e6).optional(), name: sentence.optional(), tell: sentence.optional() })),
  /** One of the family's own variants, on which the rest is laid. */
  variant: id.optional(),
  /** Whole entries that stand in the place of those of the same id, or are added. */
  put: z
    .strictObject({
      bodies: z.array(body).max(60),
      joints: z.array(jointSchema).max(60),
      states: z.array(state).max(20),
      auxiliaries: z.array(auxiliary).max(30),
      cautions: z.array(caution).max(60),
      faults: z.array(fault).max(24),
      looks: z.array(look).max(30),
      steps: z.array(step).max(30),
    })
    .partial()
    .default({}),
  /** What this model does not have. Entries that speak of it lose that part of what they say. */
  without: z.strictObject({ bodies: ids, joints: ids, faults: ids, looks: ids, closing: ids }).partial().default({}),
  /** Where the parts follow each other in another order, or the way back does: the whole list. */
  order: z.array(id).min(2).max(120).optional(),
  branches: z.array(branch).max(3).optional(),
  closing: z.array(closingStep).max(60).optional(),
});
export type ModelOverrides = z.infer<typeof modelOverrides>;
