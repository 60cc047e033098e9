import { because } from '../failure/FailureReason.ts';
import { z } from 'zod';
import { name } from '../quantity/bounds.ts';
import { facts } from '../trace/schema.ts';

/** More looks than any machine is worth. */
const MOST_LOOKS = 100;
const MOST_MINOR = 1e9;

/** Names a machine by family, grade and seed; what is wrong with it is worked out again wherever it is asked, and stands nowhere. */
const practice = z
  .string()
  .max(160)
  .regex(/^[a-z0-9-]+\.[123]\.\d{1,10}$/, because('notPractice'));

/** What a gear is counted at where nobody says its price: a guide, in hundredths of the money. */
export const PART_MINOR = 3000;

export const dealInput = z.strictObject({
  family: name,
  seed: z
    .int()
    .min(0)
    .max(2 ** 32 - 1),
  /** 1: the commoner faults, the complaint that fits best, and nothing misread. 2: any fault, as often as the family has it. 3: a rare fault comes as often as a common one, and the machine shows things otherwise than the family says. */
  grade: z.literal([1, 2, 3]),
});
export const dealOutput = z.object({
  practice,
  /** As the tracing takes them. */
  facts,
  /** What the owner says. */
  complaint: z.string(),
});

const taken = z.array(name).max(MOST_LOOKS);

export const lookInput = z.strictObject({ practice, taken, look: name });
export const lookOutput = z.object({
  result: z.string(),
  /** The look, and the opening and putting back that it takes from where the machine stands. */
  minutes: z.number(),
});

export const scoreInput = z.strictObject({
  practice,
  taken,
  /** The fault that was named. */
  verdict: name,
  /** Gears that were bought on the way, by their card; each costs `partMinor`. */
  bought: z.array(name).max(MOST_LOOKS).default([]),
  rateMinorPerHour: z.number().min(0).max(MOST_MINOR).default(6000),
  partMinor: z.number().min(0).max(MOST_MINOR).default(PART_MINOR),
});
export const scoreOutput = z.object({
  fault: z.string(),
  right: z.boolean(),
  minutes: z.number(),
  /** Of who follows the advice on the same machine, with the same misreadings. */
  engineMinutes: z.number(),
  engineLooks: z.array(z.string()),
  /** What the advice ends with; null where it names nothing. */
  engineVerdict: z.string().nullable(),
  looks: z.array(
    z.object({
      look: z.string(),
      minutes: z.number(),
      /** Bits about the faults that it promised when it was taken. */
      couldTellBits: z.number(),
      /** Bits by which it moved what is really wrong; below zero where it misled. */
      toldBits: z.number(),
    }),
  ),
  /** Minutes of looking, what was bought and is not wanted, and a wrong verdict's remedy, which is done in vain. */
  costMinor: z.int(),
});
