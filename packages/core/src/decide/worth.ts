import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { own } from '../operation/own.ts';
import { name } from '../quantity/bounds.ts';

const minor = z.number().min(0).max(1e11);
const share = z.number().min(0).max(1);

export const worthInput = z.strictObject({
  suspects: z
    .array(z.strictObject({ fault: name, probability: share, actMinor: minor, wrongMinor: minor }))
    .min(1)
    .max(60),
  looks: z
    .array(
      z.strictObject({
        look: name,
        minutes: z.number().min(0).max(10_000),
        results: z
          .array(z.strictObject({ result: name, likelihood: z.record(name, share) }))
          .min(1)
          .max(30),
      }),
    )
    .max(60),
  rateMinorPerHour: minor,
});

const lookWorth = z.object({
  look: z.string(),
  afterMinor: z.number(),
  looksMinor: z.number(),
  savesMinor: z.number(),
  worthIt: z.boolean(),
});
export const worthOutput = z.object({
  actNow: z.object({ fault: z.string(), expectedMinor: z.number() }),
  looks: z.array(lookWorth),
});

interface Acting {
  readonly fault: string;
  readonly expectedMinor: number;
}

/**
 * Is one more look worth it before money is spent? Acting on a fault costs its own price, and `wrongMinor` of it besides where it is
 * another. A look is worth the expected cost of acting now less that after its results, less its minutes. Best saving first.
 * The probabilities of the suspects are taken as shares of each other; what a result says nothing of counts as impossible there.
 *
 * Source: expected value of sample information (Raiffa and Schlaifer, Applied Statistical Decision Theory, 4).
 * @throws CoreFailure where all probabilities are nought, or a look's results do not sum to one for a suspect
 */
export function worthOfLooks({ suspects, looks, rateMinorPerHour }: z.infer<typeof worthInput>): z.infer<typeof worthOutput> {
  const sum = suspects.reduce((total, { probability }) => total + probability, 0);
  if (sum <= 0) throw fail('contradiction', 'suspects', { reason: 'noSuspectLikely' });
  const prior = suspects.map(({ probability }) => probability / sum);
  const best = (belief: readonly number[]): Acting =>
    suspects
      .map(({ fault, actMinor, wrongMinor }, i) => {
        const total = belief.reduce((all, each) => all + each, 0);
        return { fault, expectedMinor: actMinor * total + wrongMinor * (total - (belief[i] ?? 0)) };
      })
      .reduce((p, q) => (q.expectedMinor < p.expectedMinor ? q : p));
  const actNow = best(prior);
  const worth = looks.map(({ look, minutes, results }, k) => {
    suspects.forEach(({ fault }) => {
      const chances = results.reduce((total, { likelihood }) => total + (own(likelihood, fault) ?? 0), 0);
      if (Math.abs(chances - 1) > ONE)
        throw fail('contradiction', `looks.${k}.results`, { reason: 'resultsNotOne', sum: chances, given: fault });
    });
    const afterMinor = results.reduce(
      (total, { likelihood }) =>
        total + best(prior.map((each, i) => each * (own(likelihood, suspects[i]?.fault ?? '') ?? 0))).expectedMinor,
      0,
    );
    const looksMinor = (minutes / 60) * rateMinorPerHour;
    const savesMinor = actNow.expectedMinor - afterMinor - looksMinor;
    return { look, afterMinor, looksMinor, savesMinor, worthIt: savesMinor > 0 };
  });
  return { actNow, looks: worth.sort((p, q) => q.savesMinor - p.savesMinor) };
}

/** Chances that were written down to three places still sum to one. */
const ONE = 0.02;
