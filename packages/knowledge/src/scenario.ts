import { entryPayload } from '@patient-badger/core/job';
import { facts, modelOverrides } from '@patient-badger/core/machine';
import { hiddenTruth } from '@patient-badger/core/practice';
import { z } from 'zod';
import skarrow from './scenario/skarrow.json' with { type: 'json' };

const key = z.string().min(1);

/** Take-ins name their machine by the job; everything else is an entry's payload as it is. */
const scenarioPayload = z.looseObject({ kind: z.string() });

const scenarioSchema = z.strictObject({
  shop: z.strictObject({ id: key, name: z.string(), currency: z.string().length(3) }),
  people: z.array(z.strictObject({ id: key, name: z.string(), role: z.enum(['owner', 'mechanic', 'apprentice']), about: z.string() })),
  models: z.array(
    z.strictObject({
      key,
      maker: z.string(),
      code: z.string(),
      family: key,
      note: z.string().nullable(),
      overrides: modelOverrides.nullable(),
    }),
  ),
  machines: z.array(
    z.strictObject({
      key,
      model: key.nullable(),
      family: key,
      label: z.string(),
      serial: z.string(),
      owner: z.string(),
      facts,
      truth: hiddenTruth,
    }),
  ),
  jobs: z.array(
    z.strictObject({
      key,
      machine: key,
      /** Minutes before the demo was begun. */
      entries: z.array(z.strictObject({ ago: z.number().min(0), by: key, payload: scenarioPayload })),
    }),
  ),
});
export type Scenario = z.infer<typeof scenarioSchema>;

/** The demo world: Skarrow Isle and its machine shed. Everything in it is invented. */
export const SCENARIO: Scenario = scenarioSchema.parse(skarrow);

/** The payload of a scenario entry, with the machine's id and family put into a take-in. */
export const scenarioEntryPayload = (raw: Scenario['jobs'][number]['entries'][number]['payload'], machineId: string, family: string) =>
  entryPayload.parse(raw.kind === 'takenIn' ? { ...raw, machineId, family } : raw);
