import type { PracticeResult } from './kept.ts';

export interface Progress {
  readonly family: string;
  readonly count: number;
  readonly right: number;
  /** Minutes against the advice's, of the first few and of the last few; only where there are enough for both. */
  readonly times?: { readonly first: number; readonly last: number } | undefined;
}

/** So many make the first few and the last few. */
const FEW = 3;

/** How somebody comes on, family by family, the one practised last first. */
export function progressOf(done: readonly PracticeResult[], by: string | null): readonly Progress[] {
  const mine = done.filter((each) => each.by === by);
  const families = [...new Set([...mine].reverse().map(({ family }) => family))];
  return families.map((family) => {
    const list = mine.filter((each) => each.family === family);
    return {
      family,
      count: list.length,
      right: list.filter(({ right }) => right).length,
      times: list.length < 2 * FEW ? undefined : { first: timesOf(list.slice(0, FEW)), last: timesOf(list.slice(-FEW)) },
    };
  });
}

/** Less than this the advice cannot have taken: half a minute, so that there is a figure. */
const LEAST_MINUTES = 0.5;

/** Minutes of these against those of the advice on the same machines. */
function timesOf(list: readonly PracticeResult[]): number {
  const mine = list.reduce((sum, { minutes }) => sum + minutes, 0);
  const advised = list.reduce((sum, { engineMinutes }) => sum + engineMinutes, 0);
  return mine / Math.max(advised, LEAST_MINUTES);
}
