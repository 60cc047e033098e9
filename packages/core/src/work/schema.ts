import { z } from 'zod';
import { capture, looseItem } from '../access/step.ts';
import { name } from '../quantity/bounds.ts';
import { remedyPart } from './remedy.ts';

const ids = z.array(name).max(200).default([]);

export const chosenRemedy = z.strictObject({
  /** The fault that it is for; or the gear, where the verdict is not on the list. */
  fault: name.optional(),
  gear: name.optional(),
  remedy: name,
});
export type RemedyName = z.infer<typeof chosenRemedy>;

/** Everything but the family and what is known of the machine, which the operation adds. */
export const workPlanFields = {
  chosen: z.array(chosenRemedy).min(1).max(20),
  /** Other remedies, or what is worth doing while it is open, done besides. */
  besides: ids,
  /** Steps that are open already, in the order in which they were opened. */
  opened: ids,
  /** Steps that will not come. */
  stuck: ids,
  /** Tasks of the plan that are done. */
  done: ids,
};

export const TASK_KINDS = ['open', 'do', 'wait', 'set', 'close', 'prove'] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

const after = z.object({ task: name, from: z.enum(['end', 'start']), leastMinutes: z.number(), mostMinutes: z.number().optional() });

export const workTask = z.object({
  id: name,
  kind: z.enum(TASK_KINDS),
  /** What of the family it is: a step, a piece of a remedy's work, a setting, a piece of the way back, a proof. */
  ref: name,
  name: z.string(),
  minutes: z.number(),
  atWorst: z.number(),
  hands: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  after: z.array(after),
  tools: z.array(z.string()),
  cautions: z.array(z.string()),
  captures: z.array(capture),
  parts: z.array(remedyPart),
  loose: z.array(looseItem),
});
export type WorkTask = z.infer<typeof workTask>;

/**
 * `steps` in an order in which one mechanic does them, each after what it follows. `minutes` and `atWorst` are of hands, until
 * the machine goes home; `elapsedMinutes` of the clock, waits and all; what is looked at days later counts in neither.
 */
export const workPlanOutput = z.object({
  steps: z.array(workTask),
  minutes: z.number(),
  atWorst: z.number(),
  minutesBack: z.number(),
  elapsedMinutes: z.number(),
  tools: z.array(z.string()),
  parts: z.array(remedyPart),
  settings: z.array(name),
  proofs: z.array(name),
});
export type WorkPlan = z.infer<typeof workPlanOutput>;
