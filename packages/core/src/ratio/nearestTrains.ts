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
  const best = new Best(most);
  for (const stage of stages) best.add({ stages: [stage], reduction: stage.reduction, off: Math.log(stage.reduction / wanted) });
  return best.list();
}

/**
 * Trains of two stages nearest to a reduction, nearest first; exact: none that is nearer is left out. Stages of
 * one reduction go together; for each first reduction the second is looked up by halving and followed
 * outwards only as long as it could still be among the best. n log n and what is found, where trying all costs n².
 * Where both lists are the same one, each pair of stages comes once: the order on the shafts makes no difference.
 */
export function nearestTwoStages(
  first: readonly Stage[],
  second: readonly Stage[],
  { wanted, most }: { readonly wanted: number; readonly most: number },
): readonly Train[] {
  const lefts = groupsOf(first, most);
  const rights = first === second ? lefts : groupsOf(second, most);
  if (lefts.length === 0 || rights.length === 0) return [];
  const goal = Math.log(wanted);
  const logs = Float64Array.from(rights, ({ log }) => log);
  const nearestTo = lefts.map(({ log }) => lowerBound(logs, goal - log));
  const offAt = (i: number, j: number) => (lefts[i] as Group).log + (logs[j] ?? Infinity) - goal;
  let pairs: Pair[] = [];
  // Of the nearest partner of each, the last that could count (two may be each other's): nothing farther off is worth a look.
  let worst =
    Float64Array.from(nearestTo, (at, i) => Math.min(Math.abs(offAt(i, at)), Math.abs(offAt(i, at - 1)))).sort()[2 * most - 1] ?? Infinity;
  const prune = () => {
    pairs = pairs.sort(nearerPair).slice(0, most);
    if (pairs.length === most) worst = Math.min(worst, Math.abs(pairs.at(-1)?.off ?? Infinity));
  };
  const take = (i: number, j: number): boolean => {
    const off = offAt(i, j);
    if (Math.abs(off) > worst + SAME) return false;
    if (lefts === rights && j < i) return true;
    const [left, right] = [lefts[i] as Group, rights[j] as Group];
    pairs.push({ left, right, off, teeth: left.leastTeeth + right.leastTeeth });
    if (pairs.length >= 4 * most + 64) prune();
    return true;
  };
  lefts.forEach((_, i) => {
    const at = nearestTo[i] as number;
    for (let j = at; j < rights.length && take(i, j); j++);
    for (let j = at - 1; j >= 0 && take(i, j); j--);
  });
  prune();
  const best = new Best(most);
  for (const pair of pairs) addTrains(pair, best);
  return best.list();
}

/** Logarithms of reductions that differ by less are the same. */
const SAME = 1e-12;

/** Stages of exactly one reduction, the fewest teeth first. */
interface Group {
  readonly reduction: number;
  readonly log: number;
  readonly leastTeeth: number;
  readonly stages: readonly Stage[];
}

interface Pair {
  readonly left: Group;
  readonly right: Group;
  readonly off: number;
  readonly teeth: number;
}

/** By reduction, smallest first; of each no more stages than could be asked for. */
function groupsOf(stages: readonly Stage[], most: number): Group[] {
  const all = new Float64Array(stages.length);
  stages.forEach(({ reduction }, i) => (all[i] = reduction));
  const reductions = all.sort().filter((each, i) => each !== all[i - 1]);
  const alike: Stage[][] = [];
  for (const stage of stages) (alike[lowerBound(reductions, stage.reduction)] ??= []).push(stage);
  return alike.map((pairs, i) => {
    const sorted = pairs.length === 1 ? pairs : pairs.sort((p, q) => p.driver + p.driven - q.driver - q.driven).slice(0, most);
    const reduction = reductions[i] as number;
    const least = sorted[0] as Stage;
    return { reduction, log: Math.log(reduction), leastTeeth: least.driver + least.driven, stages: sorted };
  });
}

/** The trains of two groups, as long as they are among the best: with every further stage of a group the teeth grow. */
function addTrains({ left, right, off }: Pair, best: Best): void {
  const reduction = left.reduction * right.reduction;
  left.stages.forEach((first, i) => {
    for (let j = left === right ? i : 0; j < right.stages.length; j++) {
      if (!best.add({ stages: [first, right.stages[j] as Stage], reduction, off })) break;
    }
  });
}

/** The nearest trains of all that were added. */
class Best {
  readonly #most: number;
  #trains: readonly Train[] = [];
  #fresh: Train[] = [];

  constructor(most: number) {
    this.#most = most;
  }

  /** False where it cannot be among them. */
  add(train: Train): boolean {
    const last = this.#trains[this.#most - 1];
    if (last && nearer(last, train) < 0) return false;
    this.#fresh.push(train);
    if (this.#fresh.length > 3 * this.#most) this.list();
    return true;
  }

  list(): readonly Train[] {
    this.#trains = [...this.#trains, ...this.#fresh].sort(nearer).slice(0, this.#most);
    this.#fresh = [];
    return this.#trains;
  }
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

const nearerPair = (p: Pair, q: Pair): number => {
  const apart = Math.abs(p.off) - Math.abs(q.off);
  return Math.abs(apart) > SAME ? apart : p.teeth - q.teeth;
};

const teethOf = ({ stages }: Train) => stages.reduce((sum, { driver, driven }) => sum + driver + driven, 0);

/** Nearest first; equal within rounding, fewer teeth first, then by the counts, so that the order never depends on chance. */
const nearer = (p: Train, q: Train): number => {
  const apart = Math.abs(p.off) - Math.abs(q.off);
  if (Math.abs(apart) > SAME) return apart;
  return teethOf(p) - teethOf(q) || byCounts(p, q);
};

function byCounts(p: Train, q: Train): number {
  const [a, b] = [p, q].map(({ stages }) => stages.flatMap(({ driver, driven }) => [driver, driven]));
  const at = a?.findIndex((each, i) => each !== b?.[i]) ?? -1;
  return at < 0 ? 0 : (a?.[at] ?? 0) - (b?.[at] ?? 0);
}
