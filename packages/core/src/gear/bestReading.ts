import type { NextMeasurement, ReadingMethod } from './identifySchema.ts';
import { readingInformation } from './readingInformation.ts';

/** A reading that could be taken next off a gear whose candidates are ranked. */
export interface PossibleReading<Ranked> {
  readonly quantity: string;
  readonly minutes: number;
  readonly how: ReadingMethod;
  /** Teeth, threads, lines or turns that it goes over. */
  readonly over?: number;
  /** Teeth between the jaws, where it is a span. */
  readonly spanTeeth?: number;
  /** That it can be taken at all; sure where it is not said. */
  readonly chance?: number;
  /** Mean and standard deviation of the reading, were the candidate true. */
  readonly expect: (ranked: Ranked) => readonly [number, number];
}

/** Below this no reading is worth getting the caliper out. */
const LEAST_BITS = 0.01;

/** The reading that tells the candidates apart best for its minutes; null where none is worth taking. */
export function bestReading<Ranked extends { readonly probability: number }>(
  readings: readonly PossibleReading<Ranked>[],
  likely: readonly Ranked[],
  noneOfThese: number,
): NextMeasurement {
  const rated = readings.map(({ expect, chance = 1, ...reading }) => {
    const causes = likely.map((candidate) => {
      const [mean, sd] = expect(candidate);
      return { probability: candidate.probability, mean, sd };
    });
    return { ...reading, expectedBits: chance * readingInformation(causes, noneOfThese) };
  });
  const best = rated.reduce<(typeof rated)[number] | null>(
    (top, each) => (!top || each.expectedBits / each.minutes > top.expectedBits / top.minutes ? each : top),
    null,
  );
  return best && best.expectedBits >= LEAST_BITS ? best : null;
}
