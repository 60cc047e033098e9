import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import type { Pack } from '../trace/pack.ts';

/** A family's own prior counts for so many jobs. */
export const USUAL_EQUIVALENT = 20;

export const priorsInput = z.strictObject({
  family: z.string().min(1).max(120),
  /** Faults that closed, proved jobs of the family decided on. */
  verdicts: z.array(z.strictObject({ fault: z.string().min(1).max(120), count: z.int().min(0).max(1e6) })).max(200),
  /** So many jobs the pack's own prior counts for. */
  equivalent: positiveUpTo(1e5).default(USUAL_EQUIVALENT),
});
export const priorsOutput = z.object({
  faults: z.array(z.object({ fault: z.string(), pack: z.number(), shop: z.number(), count: z.int() })),
  jobs: z.int(),
  /** Whether the shop's jobs are enough to move anything. */
  moved: z.boolean(),
});
export type Priors = z.infer<typeof priorsOutput>;

/** How often proved jobs decided on a fault. */
export interface FaultCount {
  readonly fault: string;
  readonly count: number;
}

/** Fewer jobs than this move no prior. */
const LEAST_JOBS = 3;

/**
 * A family's priors as the shop's own verdicts move them: the pack's, as if it were so many jobs, and what was counted here
 * (Dirichlet). In the pack's order; each column sums to one. With fewer than three jobs nothing moves.
 *
 * Source: conjugate prior of a multinomial (Gelman, Bayesian Data Analysis, 3.4).
 * @throws CoreFailure where a fault is none of the family
 */
export function movedPriors(
  pack: Pick<Pack, 'faults'>,
  { verdicts, equivalent = USUAL_EQUIVALENT }: { readonly verdicts: readonly FaultCount[]; readonly equivalent?: number },
): Priors {
  verdicts.forEach(({ fault }, i) => {
    if (!pack.faults.some(({ id }) => id === fault)) throw fail('unknownId', `verdicts.${i}.fault`, { given: fault });
  });
  const whole = pack.faults.reduce((sum, { prior }) => sum + prior, 0);
  const countOf = (fault: string) => verdicts.reduce((sum, each) => sum + (each.fault === fault ? each.count : 0), 0);
  const jobs = verdicts.reduce((sum, { count }) => sum + count, 0);
  const moved = jobs >= LEAST_JOBS;
  return {
    jobs,
    moved,
    faults: pack.faults.map(({ id, prior }) => {
      const [own, count] = [prior / whole, countOf(id)];
      return { fault: id, pack: own, shop: moved ? (equivalent * own + count) / (equivalent + jobs) : own, count };
    }),
  };
}

/** The same for what a shop's record says: a verdict on a fault that a later version of the family does not have any more is left out. */
export const ownPriors = (pack: Pick<Pack, 'faults'>, verdicts: readonly FaultCount[]): Priors =>
  movedPriors(pack, { verdicts: verdicts.filter(({ fault }) => pack.faults.some(({ id }) => id === fault)) });

/**
 * A family as the shop's own proved jobs have it: its faults with their moved priors, everything else as it is. The same object where
 * nothing moves, so that what was worked out for it is found again.
 */
export function withOwnPriors<P extends Pick<Pack, 'faults'>>(pack: P, verdicts: readonly FaultCount[]): P {
  const { moved, faults } = ownPriors(pack, verdicts);
  if (!moved) return pack;
  const whole = pack.faults.reduce((sum, { prior }) => sum + prior, 0);
  return { ...pack, faults: pack.faults.map((each, i) => ({ ...each, prior: (faults[i]?.shop ?? 0) * whole })) };
}
