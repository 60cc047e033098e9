import type { Belief, Likelihood } from './belief.ts';
import { predictive, update } from './belief.ts';
import { entropyBits } from './entropy.ts';

export interface Outcome {
  readonly result: string;
  readonly likelihood: Likelihood;
}

export interface ExpectedInformation {
  /** Mutual information between the hypotheses and the outcome, in bits (Lindley 1956). */
  readonly bits: number;
  readonly results: readonly { readonly result: string; readonly probability: number }[];
}

/**
 * What an observation is worth before it is made: entropy now less the mean entropy after.
 * Outcomes need not have likelihoods that sum to 1 over the results; they are shared out.
 */
export function expectedInformation(belief: Belief, outcomes: readonly Outcome[]): ExpectedInformation {
  const raw = outcomes.map((outcome) => predictive(belief, outcome.likelihood));
  const total = raw.reduce((sum, p) => sum + p, 0);
  const results = outcomes.map((outcome, i) => ({ result: outcome.result, probability: (raw[i] ?? 0) / total }));
  const after = outcomes.reduce(
    (sum, outcome, i) => sum + (results[i]?.probability ?? 0) * entropyBits(update(belief, outcome.likelihood)),
    0,
  );
  return { bits: Math.max(0, entropyBits(belief) - after), results };
}
