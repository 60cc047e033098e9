/** A pair of gears that can be had, and its reduction. */
export interface Stage {
  readonly driver: number;
  readonly driven: number;
  readonly reduction: number;
}

export interface Train {
  readonly stages: readonly Stage[];
  readonly reduction: number;
  /** Natural logarithm of reduction over the wanted one. */
  readonly off: number;
}

export const stageOf = (driver: number, driven: number): Stage => ({ driver, driven, reduction: driven / driver });

/** Trains of one stage nearest to a reduction, nearest first; of equals the one with fewer teeth. */
export function nearestOneStage(stages: readonly Stage[], wanted: number, most: number): readonly Train[] {
  return stages
    .map((stage) => ({ stages: [stage], reduction: stage.reduction, off: Math.log(stage.reduction / wanted) }))
    .sort(nearer)
    .slice(0, most);
}

/**
 * Trains of two stages nearest to a reduction, nearest first; exact: none that is nearer is left out. The
 * stages are sorted once; for each first stage the second is looked up by halving and followed outwards
 * only as long as it could still be among the best. n log n and what is found, where trying all costs n².
 */
export function nearestTwoStages(stages: readonly Stage[], wanted: number, most: number): readonly Train[] {
  const sorted = [...stages].sort((p, q) => p.reduction - q.reduction);
  const logs = Float64Array.from(sorted, ({ reduction }) => Math.log(reduction));
  const goal = Math.log(wanted);
  let best: Train[] = [];
  let worst = Infinity;
  const take = (i: number, j: number): boolean => {
    const off = (logs[i] as number) + (logs[j] as number) - goal;
    if (Math.abs(off) > worst + 1e-12) return false;
    // Each pair of stages once: the order on the shafts makes no difference to the ratio.
    if (j < i) return true;
    const [first, second] = [sorted[i] as Stage, sorted[j] as Stage];
    best.push({ stages: [first, second], reduction: first.reduction * second.reduction, off });
    if (best.length >= 4 * most) {
      best = best.sort(nearer).slice(0, most);
      worst = Math.abs(best.at(-1)?.off ?? Infinity);
    }
    return true;
  };
  for (let i = 0; i < sorted.length; i++) {
    const at = lowerBound(logs, goal - (logs[i] as number));
    for (let j = at; j < sorted.length && take(i, j); j++);
    for (let j = at - 1; j >= 0 && take(i, j); j--);
  }
  return best.sort(nearer).slice(0, most);
}

/** First place whose value is not below. */
function lowerBound(values: Float64Array, wanted: number): number {
  let [low, high] = [0, values.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if ((values[mid] as number) < wanted) low = mid + 1;
    else high = mid;
  }
  return low;
}

const teethOf = ({ stages }: Train) => stages.reduce((sum, { driver, driven }) => sum + driver + driven, 0);

/** Nearest first; equal within rounding, fewer teeth first, then by the counts, so that the order never depends on chance. */
const nearer = (p: Train, q: Train): number => {
  const apart = Math.abs(p.off) - Math.abs(q.off);
  if (Math.abs(apart) > 1e-12) return apart;
  return teethOf(p) - teethOf(q) || keyOf(p).localeCompare(keyOf(q));
};
const keyOf = ({ stages }: Train) => stages.map(({ driver, driven }) => `${driver}/${driven}`).join('·');
