import { logSum } from '../inference/integrate.ts';

/**
 * Candidates by their evidence (natural logarithms, prior and all) as chances, best first, with "none of these"
 * beside them. Those below the negligible chance are dropped, and the rest shared out again.
 */
export function rankedByEvidence<Found extends { readonly log: number }>(found: readonly Found[], none: number, negligible: number) {
  const total = logSum([none, ...found.map(({ log }) => log)]);
  const kept = found.filter(({ log }) => log - total > Math.log(negligible)).sort((p, q) => q.log - p.log);
  const keptTotal = logSum([none, ...kept.map(({ log }) => log)]);
  return {
    ranked: kept.map((each) => ({ ...each, probability: Math.exp(each.log - keptTotal) })),
    noneOfTheseProbability: Math.exp(none - keptTotal),
  };
}
