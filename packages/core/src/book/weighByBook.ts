import type { PartAttributes } from '../match/schema.ts';
import { differencesOf, type GearInBook } from './modelBook.ts';

/**
 * How many gears of standard sizes come into question before anything is measured: a gear that is in the book
 * is one of them. A judgement of the project.
 */
const STANDARD_GEARS = 40;

interface WeightedCandidates<T> {
  readonly candidates: readonly (T & { readonly probability: number })[];
  readonly noneOfTheseProbability: number;
  /** Whether the likeliest is the gear of the book; it may be likely for its readings alone. */
  readonly agrees: boolean;
}

interface CandidateList<T> {
  readonly candidates: readonly T[];
  readonly noneOfTheseProbability: number;
  readonly attributesOf: (candidate: T) => PartAttributes;
}

/**
 * The book as evidence of which gear a machine of this model has: by the rule of succession (Laplace), k of
 * n jobs that say so make it (k + 1)/(n + 2). That is a prior; what was measured stays as it is, so that readings
 * which speak against the book win. The candidates' chances and that of none of them sum to 1 before and after.
 */
export function weighByBook<T extends { readonly probability: number }>(
  { candidates, noneOfTheseProbability, attributesOf }: CandidateList<T>,
  { attributes, agree, of }: GearInBook,
): WeightedCandidates<T> {
  const inBook = (agree + 1) / (of + 2);
  const weigh = (isIt: boolean) => 1 - inBook + (isIt ? inBook * STANDARD_GEARS : 0);
  const weighed = candidates.map((candidate) => {
    const isIt = differencesOf(attributes, attributesOf(candidate)).length === 0;
    return { candidate, isIt, weight: candidate.probability * weigh(isIt) };
  });
  const none = noneOfTheseProbability * weigh(false);
  const total = weighed.reduce((sum, { weight }) => sum + weight, none);
  const ranked = [...weighed].sort((p, q) => q.weight - p.weight);
  if (!(total > 0)) return { candidates, noneOfTheseProbability, agrees: false };
  return {
    candidates: ranked.map(({ candidate, weight }) => ({ ...candidate, probability: weight / total })),
    noneOfTheseProbability: none / total,
    agrees: ranked[0]?.isIt === true,
  };
}
