/** Rows of factors and the value they should add up to, each with its weight. */
export interface Row {
  readonly factors: readonly number[];
  readonly value: number;
  readonly weight: number;
}

/** The normal equations of weighted least squares: a square matrix with the right side as its last column. */
function normalEquations(rows: readonly Row[], unknowns: number): readonly Float64Array[] {
  const square = Array.from({ length: unknowns }, () => new Float64Array(unknowns + 1));
  for (const { factors, value, weight } of rows) {
    square.forEach((line, i) => {
      const factor = (factors[i] as number) * weight;
      for (let j = 0; j < unknowns; j++) line[j] = (line[j] as number) + factor * (factors[j] as number);
      line[unknowns] = (line[unknowns] as number) + factor * value;
    });
  }
  return square;
}

/** Weighted least squares: few unknowns, of like size, weights about one. Null where the rows do not tell them. */
export const leastSquares = (rows: readonly Row[], unknowns: number): readonly number[] | null => solve(normalEquations(rows, unknowns));

/**
 * The covariance of what `leastSquares` gives, where each row's weight is one over its variance: the inverse of the normal matrix
 * (Bevington, 6). Null where the rows do not tell the unknowns.
 */
export const covarianceOf = (rows: readonly Row[], unknowns: number): readonly (readonly number[])[] | null =>
  inverse(normalEquations(rows, unknowns).map((line) => [...line.subarray(0, unknowns)]));

/** The inverse of a small square matrix; null where it has none. */
export function inverse(square: readonly (readonly number[])[]): readonly (readonly number[])[] | null {
  const columns = square.map((_, j) => solve(square.map((line, i) => Float64Array.from([...line, i === j ? 1 : 0]))));
  if (columns.some((column) => column === null)) return null;
  return square.map((_, i) => columns.map((column) => column?.[i] as number));
}

/** Gauss with row exchange, on the matrix with the right side as its last column. */
function solve(square: readonly Float64Array[]): readonly number[] | null {
  const lines = [...square];
  const size = lines.length;
  for (let i = 0; i < size; i++) {
    const pivot = lines.reduce(
      (best, line, at) => (at > i && Math.abs(line[i] as number) > Math.abs(lines[best]?.[i] as number) ? at : best),
      i,
    );
    [lines[i], lines[pivot]] = [lines[pivot] as Float64Array, lines[i] as Float64Array];
    const line = lines[i] as Float64Array;
    const lead = line[i] as number;
    if (Math.abs(lead) < 1e-12) return null;
    for (let j = 0; j < size; j++) {
      const other = lines[j] as Float64Array;
      if (j === i) continue;
      const share = (other[i] as number) / lead;
      for (let k = i; k <= size; k++) other[k] = (other[k] as number) - share * (line[k] as number);
    }
  }
  return lines.map((line, i) => (line[size] as number) / (line[i] as number));
}

/** A point pulled further off than this many spreads does not count (Tukey's biweight, Beaton and Tukey 1974). */
const PULL = 4.685;

/** Least squares that outliers do not pull: weighed again by Tukey's biweight, over the scale by the median. */
export function robustFit(rows: readonly Row[], unknowns: number, rounds = 8): readonly number[] | null {
  let weights = rows.map(({ weight }) => weight);
  let fitted: readonly number[] | null = null;
  for (let round = 0; round < rounds; round++) {
    fitted = leastSquares(
      rows.map((row, i) => ({ ...row, weight: weights[i] as number })),
      unknowns,
    );
    if (!fitted) return null;
    const off = rows.map(({ factors, value }) => value - factors.reduce((sum, factor, i) => sum + factor * (fitted?.[i] as number), 0));
    const scale = 1.4826 * median(off.map(Math.abs)) + 1e-9;
    weights = rows.map(({ weight }, i) => weight * biweight((off[i] as number) / (PULL * scale)));
  }
  return fitted;
}

const biweight = (share: number) => (Math.abs(share) < 1 ? (1 - share * share) ** 2 : 0);

/** The middle one; NaN of none. */
export function median(list: readonly number[]): number {
  return quantile(list, 0.5);
}

/** The value below which a share of the list lies; NaN of none. */
export function quantile(list: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(list).sort();
  return sorted.length === 0 ? NaN : (sorted[Math.round(share * (sorted.length - 1))] as number);
}
