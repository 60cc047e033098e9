import type { Measurement } from '../quantity/measured.ts';
import { bestReading } from './bestReading.ts';
import { NONE_OF_THESE_PRIOR, type NextMeasurement, type ReadingMethod } from './identifySchema.ts';
import { rankedByEvidence } from './rankedByEvidence.ts';
import { evidenceAt, shiftEvidence, type ShiftPrior, type ShiftedReading } from './shiftEvidence.ts';
import { readingSd } from './worn.ts';

/** A dimension that can be read off a gear, and what each candidate would show. */
export interface Readable<Of> {
  readonly quantity: string;
  readonly minutes: number;
  readonly how: ReadingMethod;
  /** Teeth, threads, lines or turns that it goes over. */
  readonly over?: number;
  /** What was read; undefined while it was not. */
  readonly read: Measurement | undefined;
  /** In a straight line of the profile shift, where candidates have one. */
  readonly predict: (of: Of, shift: number) => number;
  /** What makers leave open about it, one standard deviation, in its own unit. */
  readonly makerSd?: (of: Of) => number;
  /** Metal that may be worn off it: it reads low, never high. */
  readonly maxLossMm?: number;
  /** The usual ± of whoever reads it next. */
  readonly plusMinus: number;
  /** How widely something that follows no standard would be spread: the natural logarithm of largest over smallest. */
  readonly logRange?: number;
}

export interface SizeFit<Of> {
  readonly of: Of;
  /** The profile shift that explains the readings best, on the mean; 0 where candidates have none. */
  readonly shift: number;
  readonly shiftSd: number;
  readonly probability: number;
  readonly predicted: Readonly<Record<string, number>>;
  readonly residuals: Readonly<Record<string, number>>;
}

export interface SizeAnswer<Of> {
  readonly ranked: readonly SizeFit<Of>[];
  readonly noneOfTheseProbability: number;
  readonly nextMeasurement: NextMeasurement;
}

const NEGLIGIBLE = 1e-9;
const USUAL_LOG_RANGE = Math.log(50);

/**
 * Ranks candidates that follow from a standard (racks, screws, and with a free profile shift bevels and
 * wheels) by Bayes' rule, with "none of these" kept, and names the dimension to read next by information
 * per minute. The shift is a continuous unknown, integrated as finely as the readings are sharp; densities
 * are kept as logarithms, so that any number of readings can be taken.
 */
export function identifySize<Of>(
  hypotheses: readonly { readonly of: Of; readonly prior: number }[],
  readables: readonly Readable<Of>[],
  free?: ShiftPrior,
): SizeAnswer<Of> {
  const read = readables.filter((each) => each.read !== undefined);
  const priors = hypotheses.reduce((sum, { prior }) => sum + prior, 0);
  const weighed = hypotheses.flatMap(({ of, prior }) => {
    const readings = read.map((each) => shiftedReading(each, of));
    const found = free ? shiftEvidence(readings, free) : { log: evidenceAt(0, readings), mean: 0, sd: 0 };
    return found ? [{ of, ...found, log: found.log + Math.log(((1 - NONE_OF_THESE_PRIOR) * prior) / priors) }] : [];
  });
  const none = read.reduce(
    (sum, { read: value, logRange = USUAL_LOG_RANGE }) => sum - Math.log(Math.max(Math.abs(value?.value ?? 1), 1e-3) * logRange),
    Math.log(NONE_OF_THESE_PRIOR),
  );
  const { ranked: kept, noneOfTheseProbability } = rankedByEvidence(weighed, none, NEGLIGIBLE);
  const ranked = kept.map(({ of, mean, sd, probability }) => ({
    of,
    shift: mean,
    shiftSd: sd,
    probability,
    predicted: Object.fromEntries(readables.map((each) => [each.quantity, each.predict(of, mean)])),
    residuals: Object.fromEntries(read.map((each) => [each.quantity, (each.read?.value ?? 0) - each.predict(of, mean)])),
  }));
  const open = readables
    .filter((each) => each.read === undefined)
    .map((readable) => ({
      quantity: readable.quantity,
      minutes: readable.minutes,
      how: readable.how,
      ...(readable.over !== undefined && { over: readable.over }),
      expect: ({ of, shift, shiftSd }: SizeFit<Of>) => {
        const byShift = shiftSd * slopeOf(readable, of);
        return [readable.predict(of, shift), Math.hypot(readable.plusMinus, readable.makerSd?.(of) ?? 0, byShift)] as const;
      },
    }));
  return {
    ranked,
    noneOfTheseProbability,
    nextMeasurement: bestReading(
      open,
      ranked.filter(({ probability }) => probability > 1e-5),
      noneOfTheseProbability,
    ),
  };
}

/** How far a dimension moves with one module of shift. */
const slopeOf = <Of>({ predict }: Readable<Of>, of: Of) => predict(of, 1) - predict(of, 0);

function shiftedReading<Of>(readable: Readable<Of>, of: Of): ShiftedReading {
  const { value, plusMinus } = readable.read as Measurement;
  return {
    read: value,
    sd: readingSd(plusMinus, readable.makerSd?.(of)),
    at: readable.predict(of, 0),
    slope: slopeOf(readable, of),
    loss: readable.maxLossMm ?? 0,
  };
}
