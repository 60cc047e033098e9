import { z } from 'zod';
import { step } from '../access/step.ts';
import { packSchema } from './pack.ts';
import { caution } from './packParts.ts';
import { name, sentence } from '../quantity/bounds.ts';

export const facts = z.record(name, z.union([z.number().min(-1e9).max(1e9), z.boolean(), z.string().max(2000)]));

export const SURENESS = ['little', 'fairly', 'very'] as const;

/** Something seen that the family does not foresee: it speaks for or against a suspect, and how surely. */
export const ownLook = z.strictObject({ saw: sentence, fault: name, speaks: z.enum(['for', 'against']), sure: z.enum(SURENESS) });
export type OwnLook = z.infer<typeof ownLook>;

export const traceInput = z.strictObject({
  family: z.union([name, packSchema]),
  facts: facts.default({}),
  /** What the owner says, in the family's own complaints; the one of `facts` counts as well. */
  complaints: z.array(name).max(10).default([]),
  observations: z
    .array(z.strictObject({ look: name, result: name }))
    .max(200)
    .default([]),
  ownLooks: z.array(ownLook).max(50).default([]),
  /** Steps that are open now. */
  reached: z.array(name).max(60).default([]),
  /** Faults found already and still in the machine: what else is there? */
  found: z.array(name).max(60).default([]),
  /** Findings that nothing explains and that somebody leaves at that, with why. */
  left: z
    .array(z.strictObject({ look: name, reason: sentence }))
    .max(40)
    .default([]),
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
  tellsApart: z.array(z.string()),
  results: z.array(z.object({ result: z.string(), probability: z.number() })),
  /** Steps to put back first, latest first, for the look needs what they ended. */
  undo: z.array(step),
  steps: z.array(step),
  cautions: z.array(caution),
  /** A remedy tried as a look, and what it uses. */
  tries: z.object({ uses: z.array(z.string()) }).optional(),
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
      /** Chance that it is in the machine, alone or with another: over all suspects more than 1 where two may be there at once. */
      probability: z.number(),
      because: z.array(z.object({ look: z.string(), result: z.string(), bits: z.number() })),
    }),
  ),
  noneOfTheseProbability: z.number(),
  /** Its three kinds: outside the chain, in it and not listed, sound after all. */
  noneOfThese: z.object({ outside: z.number(), unlisted: z.number(), sound: z.number() }),
  /** Chance that something there is wrong, listed or not, the likeliest place first. */
  places: z.array(z.object({ at: z.string(), probability: z.number() })),
  /** With faults found already: that there is no other. */
  nothingElseProbability: z.number().optional(),
  next: lookAdvice.nullable(),
  alternatives: z.array(lookAdvice),
  /** Looks that no step brings within reach from here: what they need is gone for good, or stuck. */
  notPossible: z.array(z.object({ look: z.string(), states: z.array(z.string()) })),
  /** Two faults that are likelier both there than not, the likeliest pair first. */
  pairs: z.array(z.object({ faults: z.array(z.string()), probability: z.number() })),
  /** `faults`: all that are there beyond doubt, `fault` among them. */
  verdict: z.object({ fault: z.string(), probability: z.number(), faults: z.array(z.string()) }).nullable(),
  /** What stands first without the evidence for a verdict, and the look that would give it. */
  toLookAt: z.object({ fault: z.string(), look: z.string() }).nullable(),
  /** Findings that nothing on the list explains. */
  unexplained: z.array(z.object({ look: z.string(), result: z.string() })),
  /** Why nothing more is asked; `verdict` is there where its kind is "fault". */
  end: z
    .object({
      kind: z.enum(['fault', 'noneOfThese', 'nothingElse', 'notWorthIt']),
      fault: z.string().optional(),
      probability: z.number(),
      because: z.array(z.object({ look: z.string(), result: z.string() })),
    })
    .nullable(),
  /** What was found that a sound machine would not show, and which of the suspects explain it; none: nothing on the list does. */
  finds: z.array(z.object({ look: z.string(), result: z.string(), explainedBy: z.array(z.string()) })),
  remainingMinutesEstimate: z.number(),
  factShifts: z.array(z.object({ fault: z.string(), factor: z.number(), why: z.string().optional(), complaint: z.string().optional() })),
});
export type TraceOutput = z.infer<typeof traceOutput>;

/** Every look that is advised, the next one first. */
export const advisedLooks = ({ next, alternatives }: TraceOutput): readonly LookAdvice[] => [...(next ? [next] : []), ...alternatives];
