/** Probabilities over hypotheses, by id; they sum to 1. */
export type Belief = Readonly<Record<string, number>>;

/** The likelihood of what was seen, were this hypothesis true. */
export type Likelihood = (hypothesis: string) => number;

/**
 * No outcome is taken as impossible: an observation may be misread, a pack may be wrong.
 * Without a floor a single slip would rule a suspect out for ever.
 */
export const LEAST_LIKELIHOOD = 1e-4;

/**
 * Weights → probabilities. Throws where there is nothing to share out, which is a caller's mistake.
 * @example normalise({ a: 3, b: 1 }) // { a: 0.75, b: 0.25 }
 */
export function normalise(weights: Readonly<Record<string, number>>): Belief {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0) || !Number.isFinite(total)) throw new RangeError('weights must have a positive, finite sum');
  return Object.fromEntries(Object.entries(weights).map(([id, weight]) => [id, weight / total]));
}

/** Bayes' rule for one observation. */
export function update(prior: Belief, likelihood: Likelihood): Belief {
  const weights: Record<string, number> = {};
  for (const [id, p] of Object.entries(prior)) weights[id] = p * Math.max(likelihood(id), LEAST_LIKELIHOOD);
  return normalise(weights);
}

/** Probability of an observation under the present belief. */
export function predictive(belief: Belief, likelihood: Likelihood): number {
  let sum = 0;
  for (const [id, p] of Object.entries(belief)) sum += p * Math.max(likelihood(id), LEAST_LIKELIHOOD);
  return sum;
}
