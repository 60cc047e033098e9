import { normalDensity } from '../inference/normal.ts';

/** One cause of a reading: its chance, and the mean and standard deviation of the reading if it is the one. */
export interface Cause {
  readonly probability: number;
  readonly mean: number;
  readonly sd: number;
}

const MOST_CELLS = 1500;

/**
 * Mutual information of causes and a reading in bits, the reading on a grid fine enough for its
 * sharpest peak; "none of these" spreads evenly over all that could be read.
 */
export function readingInformation(causes: readonly Cause[], noneOfThese: number): number {
  if (causes.length === 0) return 0;
  const low = Math.min(...causes.map(({ mean, sd }) => mean - 4 * sd));
  const high = Math.max(...causes.map(({ mean, sd }) => mean + 4 * sd));
  const finest = Math.min(...causes.map(({ sd }) => sd));
  const cells = Math.min(MOST_CELLS, Math.max(40, Math.ceil((high - low) / finest)));
  const step = (high - low) / cells;
  // Density of the reading, and sum of p·log p over who may have caused it: I = H(reading) − H(reading | cause), grid cell by grid cell.
  const density = new Float64Array(cells).fill(noneOfThese / (high - low));
  const plogp = new Float64Array(cells).fill(xlog2x(noneOfThese / (high - low)));
  for (const { probability, mean, sd } of causes) {
    const from = Math.max(0, Math.floor((mean - 5 * sd - low) / step));
    const to = Math.min(cells - 1, Math.ceil((mean + 5 * sd - low) / step));
    for (let i = from; i <= to; i++) {
      const weight = probability * normalDensity(low + (i + 0.5) * step, mean, sd);
      density[i] = (density[i] ?? 0) + weight;
      plogp[i] = (plogp[i] ?? 0) + xlog2x(weight);
    }
  }
  let [mass, after] = [0, 0];
  for (let i = 0; i < cells; i++) {
    const here = density[i] ?? 0;
    mass += here * step;
    after += (xlog2x(here) - (plogp[i] ?? 0)) * step;
  }
  const now = -[...causes.map(({ probability }) => probability), noneOfThese].reduce((sum, p) => sum + xlog2x(p), 0);
  return mass > 0 ? Math.max(0, now - after / mass) : 0;
}

const xlog2x = (x: number) => (x > 0 ? x * Math.log2(x) : 0);
