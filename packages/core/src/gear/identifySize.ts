import { normalDensity } from '../inference/normal.ts';
import type { Measured } from '../quantity/measured.ts';
import { bestReading } from './bestReading.ts';
import { NONE_OF_THESE_PRIOR, type NextMeasurement } from './identifySchema.ts';
import { readingSd, wornTip } from './wornTip.ts';

/** A dimension that can be read off a gear, and what each candidate would show. */
export interface Readable<Of> {
  readonly quantity: string;
  readonly minutes: number;
  readonly how: string;
  /** What was read; undefined while it was not. */
  readonly read: Measured | undefined;
  readonly predict: (of: Of) => number;
  /** What makers leave open about it, one standard deviation, in its own unit. */
  readonly makerSd?: (of: Of) => number;
  /** Metal that may be worn off it: it reads low, never high. */
  readonly maxLossMm?: number;
  /** The usual ± of whoever reads it next. */
  readonly plusMinus: number;
  /** How widely something that follows no standard would be spread: the natural logarithm of largest over smallest. */
  readonly logRange?: number;
}

export interface Sized<Of> {
  readonly of: Of;
  readonly probability: number;
  readonly predicted: Readonly<Record<string, number>>;
  readonly residuals: Readonly<Record<string, number>>;
}

export interface SizeAnswer<Of> {
  readonly ranked: readonly Sized<Of>[];
  readonly noneOfTheseProbability: number;
  readonly nextMeasurement: NextMeasurement;
}

const NEGLIGIBLE = 1e-9;
const USUAL_LOG_RANGE = Math.log(50);

/**
 * Ranks candidates that follow from a standard alone (racks, screws, bevels, wheels) by Bayes' rule, with
 * "none of these" kept, and names the dimension to read next by information per minute.
 */
export function identifySize<Of>(
  hypotheses: readonly { readonly of: Of; readonly prior: number }[],
  readables: readonly Readable<Of>[],
): SizeAnswer<Of> {
  const read = readables.filter((each) => each.read !== undefined);
  const priors = hypotheses.reduce((sum, { prior }) => sum + prior, 0);
  const weighed = hypotheses.map(({ of, prior }) => ({
    of,
    weight: ((1 - NONE_OF_THESE_PRIOR) * prior * read.reduce((product, each) => product * likelihood(each, of), 1)) / priors,
  }));
  const none = read.reduce(
    (product, { read: value, logRange = USUAL_LOG_RANGE }) => product / (Math.max(Math.abs(value?.value ?? 1), 1e-3) * logRange),
    NONE_OF_THESE_PRIOR,
  );
  const total = weighed.reduce((sum, { weight }) => sum + weight, none);
  const kept = weighed.filter(({ weight }) => weight / total > NEGLIGIBLE).sort((p, q) => q.weight - p.weight);
  const keptTotal = kept.reduce((sum, { weight }) => sum + weight, none);
  const ranked = kept.map(({ of, weight }) => ({
    of,
    probability: weight / keptTotal,
    predicted: Object.fromEntries(readables.map((each) => [each.quantity, each.predict(of)])),
    residuals: Object.fromEntries(read.map((each) => [each.quantity, (each.read?.value ?? 0) - each.predict(of)])),
  }));
  const open = readables
    .filter((each) => each.read === undefined)
    .map(({ quantity, minutes, how, predict, makerSd, plusMinus }) => ({
      quantity,
      minutes,
      how,
      expect: (each: Sized<Of>) => [predict(each.of), Math.hypot(plusMinus, makerSd?.(each.of) ?? 0)] as const,
    }));
  return {
    ranked,
    noneOfTheseProbability: none / keptTotal,
    nextMeasurement: bestReading(
      open,
      ranked.filter(({ probability }) => probability > 1e-5),
      none / keptTotal,
    ),
  };
}

function likelihood<Of>({ read, predict, makerSd, maxLossMm }: Readable<Of>, of: Of): number {
  if (!read) return 1;
  const error = readingSd(read.plusMinus, makerSd?.(of));
  return maxLossMm === undefined ? normalDensity(read.value, predict(of), error) : wornTip(read.value, predict(of), error, maxLossMm);
}

/** Candidates that differ only in what is not asked for, as one: chances added up, figures of the likeliest. Best first. */
export function mergedBy<Of, Key>(ranked: readonly Sized<Of>[], key: (of: Of) => Key): readonly Sized<Of>[] {
  const merged = new Map<Key, Sized<Of>>();
  for (const each of ranked) {
    const first = merged.get(key(each.of));
    merged.set(key(each.of), first ? { ...first, probability: first.probability + each.probability } : each);
  }
  return [...merged.values()].sort((p, q) => q.probability - p.probability);
}
