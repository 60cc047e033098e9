import { z } from 'zod';
import { packSchema } from './trace/pack.ts';
import { putBack, step, whileOpen } from './access/step.ts';
import { name } from './quantity/bounds.ts';

const ids = z.array(name).max(200).default([]);

export const planInput = z.strictObject({
  family: z.union([name, packSchema]),
  /** Bodies, joints or auxiliaries to be reached. */
  places: ids,
  /** Steps that have to be done, such as those a look needs. */
  steps: ids,
  opened: ids,
  stuck: ids,
});

/** `plan` is null where a step that is stuck bars every way. */
export const planOutput = z.object({
  plan: z
    .object({
      steps: z.array(step),
      minutes: z.number(),
      atWorst: z.number(),
      tools: z.array(z.string()),
      helperFor: z.array(step),
      whileOpen: z.array(whileOpen),
      minutesBack: z.number(),
    })
    .nullable(),
  reassembly: z.array(putBack),
});
