import { USE_UNITS } from '@patient-badger/core';
import { lifeOutput } from '@patient-badger/core/job';
import { z } from 'zod';

const faultCount = z.object({ fault: z.string(), count: z.int() });

/** Proved verdicts of the shop by family, as they move the priors; empty where an owner switched that off. */
export const familyVerdicts = z.object({ family: z.string(), jobs: z.int(), faults: z.array(faultCount) }).meta({ id: 'FamilyVerdicts' });
export const verdicts = z.array(familyVerdicts);

/** How long one kind of part lives in this shop's machines. */
export const partLife = z
  .object({
    family: z.string(),
    gear: z.string(),
    partNumber: z.string().nullable(),
    unit: z.enum(USE_UNITS),
    life: lifeOutput,
  })
  .meta({ id: 'PartLife' });

/** What keeps coming back, and what it cost. */
export const comesBack = z
  .object({
    kind: z.enum(['machine', 'part', 'refused', 'hand']),
    of: z.string(),
    /** The machine's label, or the person's name. */
    name: z.string(),
    family: z.string().nullable(),
    what: z.string().nullable(),
    times: z.int(),
    among: z.int().nullable(),
    costMinor: z.int(),
  })
  .meta({ id: 'ComesBack' });

/** Whether minutes and parts were well spent. */
export const pays = z
  .object({
    timedJobs: z.int(),
    minutesReckoned: z.number(),
    minutesTaken: z.number(),
    partsFitted: z.int(),
    partsInVain: z.int(),
    inVainMinor: z.int(),
  })
  .meta({ id: 'Pays' });

export const learnt = z
  .object({
    jobs: z.int(),
    lives: z.array(partLife),
    verdicts,
    comesBack: z.array(comesBack),
    pays,
  })
  .meta({ id: 'Learnt' });
export type Learnt = z.infer<typeof learnt>;

/** What was learnt so far, and how far the reading of the log is where it goes on. */
export const learning = z
  .object({ learnt: learnt.nullable(), working: z.object({ done: z.int(), of: z.int() }).nullable() })
  .meta({ id: 'Learning' });
export type Learning = z.infer<typeof learning>;
