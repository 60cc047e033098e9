/** What is known of a quantity that was not read itself, after what was. */
export interface IntegralResult {
  /** Natural logarithm of the integral of the density. */
  readonly log: number;
  readonly mean: number;
  readonly sd: number;
}

const NODES = 41;

/**
 * Integral of a density given by its logarithm over a window in which it is smooth, by the trapezoid rule on
 * 41 nodes (for a bell inside its window exact to many digits), summed as logarithms: many readings of one
 * thing have a density that no number holds. Null where the window is empty.
 */
export function integrateLog(logDensity: (x: number) => number, [low, high]: readonly [number, number]): IntegralResult | null {
  if (!(high > low)) return null;
  const step = (high - low) / (NODES - 1);
  const logs = new Float64Array(NODES);
  let top = -Infinity;
  for (let i = 0; i < NODES; i++) {
    const each = logDensity(low + i * step);
    logs[i] = each;
    if (each > top) top = each;
  }
  if (top === -Infinity) return null;
  let [sum, first, second] = [0, 0, 0];
  for (let i = 0; i < NODES; i++) {
    const weight = Math.exp((logs[i] as number) - top) * (i === 0 || i === NODES - 1 ? 0.5 : 1);
    sum += weight;
    first += weight * i;
    second += weight * i * i;
  }
  const mean = first / sum;
  return { log: top + Math.log(sum * step), mean: low + step * mean, sd: step * Math.sqrt(Math.max(1 / 12, second / sum - mean * mean)) };
}

/** ln Σ exp. */
export function logSum(logs: readonly number[]): number {
  const top = Math.max(...logs);
  return top === -Infinity ? top : top + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - top), 0));
}
