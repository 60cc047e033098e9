/** A meter read on a day: hours, km or miles, whatever it counts. */
export interface MeterReading {
  /** ISO 8601. */
  readonly at: string;
  readonly value: number;
}

export interface YearlyUse {
  readonly perYear: number;
  /** How long the meter was watched. */
  readonly days: number;
}

const DAY_MS = 86_400_000;
const YEAR_DAYS = 365.25;
/** Over less than this a week of hard work would pass for a year of it. */
const LEAST_DAYS = 30;

/**
 * How much a machine works in a year, from its meter as it was read over time, in any order: what it counted
 * over the time in which it did. A meter that reads less than before was changed or turned over: the time
 * between those two readings tells nothing and is left out.
 * @returns null where fewer than thirty days were watched
 */
export function yearlyUse(readings: readonly MeterReading[]): YearlyUse | null {
  const inOrder = [...readings].sort((p, q) => Date.parse(p.at) - Date.parse(q.at));
  const spans = inOrder.slice(1).flatMap((next, i) => {
    const last = inOrder[i];
    if (!last || next.value < last.value) return [];
    return [{ counted: next.value - last.value, days: (Date.parse(next.at) - Date.parse(last.at)) / DAY_MS }];
  });
  const days = spans.reduce((sum, each) => sum + each.days, 0);
  if (days < LEAST_DAYS) return null;
  return { perYear: (spans.reduce((sum, each) => sum + each.counted, 0) / days) * YEAR_DAYS, days };
}
