import { z } from 'zod';
import { step } from '../access/step.ts';
import { caution, packSchema } from './pack.ts';
import { name } from '../quantity/bounds.ts';

export const facts = z.record(name, z.union([z.number().min(-1e9).max(1e9), z.boolean(), z.string().max(2000)]));

export const traceInput = z.strictObject({
  family: z.union([name, packSchema]),
  facts: facts.default({}),
  observations: z
    .array(z.strictObject({ look: name, result: name }))
    .max(200)
    .default([]),
  reached: z.array(name).max(60).default([]),
  /** Faults found already and still in the machine: what else is there? */
  found: z.array(name).max(60).default([]),
  confidence: z.number().gt(0.5).lt(1).default(0.9),
});
export type TraceInput = z.infer<typeof traceInput>;

const lookAdvice = z.object({
  look: z.string(),
  name: z.string(),
  /** The look and the opening still to do. */
  minutes: z.number(),
  lookMinutes: z.number(),
  /** Minutes to the verdict if this look is taken next; only for looks that were followed to their end. */
  minutesToVerdict: z.number().optional(),
  expectedBits: z.number(),
  /** Faults whose probability the look is expected to move the most. */
  moves: z.array(z.string()),
  results: z.array(z.object({ result: z.string(), name: z.string(), probability: z.number() })),
  steps: z.array(step),
  cautions: z.array(caution),
});
export type LookAdvice = z.infer<typeof lookAdvice>;

export const traceOutput = z.object({
  suspects: z.array(
    z.object({
      fault: z.string(),
      name: z.string(),
      joint: z.string().optional(),
      at: z.string(),
      prior: z.number(),
      probability: z.number(),
      because: z.array(z.object({ look: z.string(), result: z.string(), bits: z.number() })),
    }),
  ),
  noneOfTheseProbability: z.number(),
  /** With faults found already: that there is no other. */
  nothingElseProbability: z.number().optional(),
  next: lookAdvice.nullable(),
  alternatives: z.array(lookAdvice),
  verdict: z.object({ fault: z.string(), probability: z.number() }).nullable(),
  remainingMinutesEstimate: z.number(),
  factShifts: z.array(z.object({ fault: z.string(), factor: z.number(), why: z.string() })),
});
export type TraceOutput = z.infer<typeof traceOutput>;

/** Every look that is advised, the next one first. */
export const advisedLooks = ({ next, alternatives }: TraceOutput): readonly LookAdvice[] => [...(next ? [next] : []), ...alternatives];
