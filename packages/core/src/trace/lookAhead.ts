import { LEAST_LIKELIHOOD, type Belief } from '../inference/belief.ts';
import { keysOf, NONE_OF_THESE, type Hypothesis } from './hypotheses.ts';
import { LEAST_BITS } from './advice.ts';
import { reachOf, type AccessModel } from '../access/state.ts';
import type { LookOutcome } from './lookOutcome.ts';
import type { Pack } from './pack.ts';
import type { PackModel } from './packModel.ts';
import { lookWants } from './wanted.ts';

/** How far a job is, as the planner sees it. */
export interface Progress {
  readonly belief: Belief;
  readonly taken: ReadonlySet<string>;
  readonly reached: ReadonlySet<string>;
}

/** A look with the minutes to a verdict that are to be expected if it is taken next. */
export interface Plan {
  readonly look: string;
  readonly minutesToVerdict: number;
}

/** How many first looks are followed to their end; the others cannot beat them by their rate alone. */
const FIRST_LOOKS = 7;
/** A branch less likely than this is not followed but estimated. */
const LEAST_BRANCH = 0.03;
/** Minutes charged for being left without a verdict (judgement: taking the chain apart to see for oneself). */
const NO_VERDICT_MINUTES = 30;
/** Minutes charged for a wrong verdict, so that of two ways to be sure the surer one is taken (judgement: the work done twice). */
const WRONG_VERDICT_MINUTES = 40;

interface LookTable {
  readonly id: string;
  readonly minutes: number;
  /** How to get to where it is possible, by what is open. */
  readonly approach: (reached: number) => Approach;
  /** Likelihoods, one row a result. */
  readonly rows: readonly Float64Array[];
  /** What so many results can hold apart, in nats. */
  readonly mostNats: number;
}

interface Approach {
  readonly minutes: number;
  /** What is open then. */
  readonly open: number;
}

/** Hypotheses as they are weighed: two faults at once stand there twice, once for each, with half of the chance. */
interface Flat {
  readonly hypotheses: readonly { readonly id: string; readonly part: number }[];
  /** Which fault each is a way of. */
  readonly faultOf: Int32Array;
  /** The other fault of two at once; -1 where it is alone. */
  readonly otherOf: Int32Array;
  /** Those of one fault stand beside each other: where each fault's end. */
  readonly ends: Int32Array;
  readonly faults: number;
  readonly none: number;
  readonly looks: readonly LookTable[];
  readonly reach: AccessModel;
  /** Looks by their minutes, by what is open. */
  readonly orders: Map<number, readonly number[]>;
}

const remembered = new WeakMap<PackModel, Flat>();

/**
 * The looks that lead to a verdict in the fewest minutes, best first: each of the best few by
 * information per minute is followed, result by result, down the rest of the plan, which itself takes
 * the best rate each time (a rollout: Bertsekas and Castañon 1999). Opening done for one look is paid
 * once, so looks behind the same cover share it. Exact and repeatable; no chance is drawn.
 */
export function lookAhead(pack: Pack, model: PackModel, progress: Progress, confidence: number): readonly Plan[] {
  const flat = likeliestOf(flatten(pack, model), progress.belief);
  const weights = flat.hypotheses.map(({ id, part }) => part * (progress.belief[id] ?? 0));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const belief = Float64Array.from(weights, (weight) => weight / total);
  const seen = flat.looks.map(({ id }) => (progress.taken.has(id) ? TAKEN : NOT_TAKEN)).join('');
  const reached = flat.reach.maskOf(progress.reached);
  const follow = follower(flat, confidence);
  const plans = byRate(flat, belief, seen, reached)
    .slice(0, FIRST_LOOKS)
    .map(({ look, rate }) => {
      const each = flat.looks[look] as LookTable;
      return { look: each.id, rate, now: minutesOf(each, reached), minutesToVerdict: follow.after(look, belief, seen, reached, 1) };
    })
    .sort((p, q) => p.minutesToVerdict - q.minutesToVerdict);
  const bar = (plans[0]?.minutesToVerdict ?? 0) * AS_GOOD;
  const tells = plans[0]?.rate ?? 0;
  const close = plans.filter(({ minutesToVerdict, rate }) => minutesToVerdict <= bar && rate >= tells).sort((p, q) => p.now - q.now);
  return [...close.slice(0, 1), ...plans.filter((plan) => plan !== close[0])].map(({ look, minutesToVerdict }) => ({
    look,
    minutesToVerdict,
  }));
}

/** Plans this close are as good as each other; then the quickest look that tells as much a minute goes first, for it commits to the least. */
const AS_GOOD = 1.06;

function flatten(pack: Pack, model: PackModel): Flat {
  const before = remembered.get(model);
  if (before) return before;
  const { outcomes } = model;
  const faultIds = [...new Set(model.hypotheses.flatMap(keysOf))];
  const hypotheses = model.hypotheses
    .flatMap((hypothesis) => {
      const keys = keysOf(hypothesis).map((key) => faultIds.indexOf(key));
      return keys.map((fault, i) => ({
        id: hypothesis.id,
        part: 1 / keys.length,
        fault,
        other: keys.length > 1 ? (keys[1 - i] as number) : -1,
      }));
    })
    .sort((p, q) => p.fault - q.fault);
  const reach = reachOf(pack);
  const made: Flat = {
    hypotheses,
    faultOf: Int32Array.from(hypotheses, ({ fault }) => fault),
    otherOf: Int32Array.from(hypotheses, ({ other }) => other),
    ends: endsOf(hypotheses.map(({ fault }) => fault)),
    faults: faultIds.length,
    none: faultIds.indexOf(NONE_OF_THESE),
    looks: pack.looks.flatMap((look) => {
      const ways = reach.waysTo(lookWants(pack, look));
      const rows = rowsOf(outcomes.get(look.id) ?? [], hypotheses);
      return ways.length > 0
        ? [{ id: look.id, minutes: look.minutes, approach: approachBy(reach, ways), rows, mostNats: Math.log(rows.length) }]
        : [];
    }),
    reach,
    orders: new Map(),
  };
  remembered.set(model, made);
  return made;
}

/** Where each run of the same number ends. */
const endsOf = (faultOf: readonly number[]): Int32Array =>
  Int32Array.from(faultOf.flatMap((fault, i) => (fault === faultOf[i + 1] ? [] : [i + 1])));

function approachBy(reach: AccessModel, ways: ReturnType<AccessModel['waysTo']>): LookTable['approach'] {
  const known = new Map<number, Approach>();
  return (reached) => {
    const before = known.get(reached);
    if (before) return before;
    const found = reach.approach(ways, reached);
    const made = found ? { minutes: found.minutes, open: (reached & ~found.undo) | found.steps } : { minutes: Infinity, open: reached };
    known.set(reached, made);
    return made;
  };
}

/** Belief that may be left out of the planning, so that it stays quick with every pair in it. */
const LEFT_OUT = 0.004;
const MOST_PLANNED = 56;
const LEAST_PLANNED = 24;
/** Ways times results that are weighed at each turn of the plan: a family with very many results is planned with fewer ways. */
const MOST_WEIGHED = 9000;

/** Only the hypotheses that carry the belief: planning weighs what is likely, the belief itself stays exact. */
function likeliestOf(flat: Flat, belief: Belief): Flat {
  const weights = flat.hypotheses
    .map(({ id, part }, i) => ({ i, weight: part * (belief[id] ?? 0) }))
    .sort((p, q) => q.weight - p.weight || p.i - q.i);
  const results = flat.looks.reduce((sum, { rows }) => sum + rows.length, 0);
  const most = Math.min(MOST_PLANNED, Math.max(LEAST_PLANNED, Math.floor(MOST_WEIGHED / results)));
  let carried = 0;
  const kept = weights
    .filter(({ weight }, place) => {
      const needed = carried < 1 - LEFT_OUT && place < most;
      carried += weight;
      return needed;
    })
    .map(({ i }) => i)
    .sort((p, q) => p - q);
  const of = (list: Float64Array) => Float64Array.from(kept, (i) => list[i] as number);
  return {
    ...flat,
    hypotheses: kept.map((i) => flat.hypotheses[i] as Flat['hypotheses'][number]),
    faultOf: Int32Array.from(kept, (i) => flat.faultOf[i] as number),
    otherOf: Int32Array.from(kept, (i) => flat.otherOf[i] as number),
    ends: endsOf(kept.map((i) => flat.faultOf[i] as number)),
    looks: flat.looks.map((look) => ({ ...look, rows: look.rows.map(of) })),
  };
}

/** Likelihoods of the results, none quite nil, adding up to one under every hypothesis. */
function rowsOf(outcomes: readonly LookOutcome[], hypotheses: readonly Pick<Hypothesis, 'id'>[]): readonly Float64Array[] {
  const least = (outcome: LookOutcome, id: string) => Math.max(outcome.likelihood(id), LEAST_LIKELIHOOD);
  const sums = hypotheses.map(({ id }) => outcomes.reduce((sum, outcome) => sum + least(outcome, id), 0));
  return outcomes.map((outcome) => Float64Array.from(hypotheses, ({ id }, h) => least(outcome, id) / (sums[h] as number)));
}

/** Minutes of a look with the opening still to do, and what is to be put back for it, by the shortest of its ways. */
const minutesOf = (look: LookTable, reached: number): number => look.minutes + look.approach(reached).minutes;

/** Expected information about the fault (not about how it shows), from m·log m sums over faults and results; the rows add up to one. */
function bitsOf({ ends }: Flat, look: LookTable, belief: Float64Array, doubt: number): number {
  let nats = doubt;
  for (const row of look.rows) {
    let seen = 0;
    for (let f = 0, h = 0; f < ends.length; f++) {
      let mass = 0;
      for (const end = ends[f] as number; h < end; h++) mass += (belief[h] as number) * (row[h] as number);
      nats += xlog(mass);
      seen += mass;
    }
    nats -= xlog(seen);
  }
  return nats / Math.LN2;
}

/** So little mass carries no information that a plan could turn on, and its logarithm is most of the work. */
const LEAST_MASS = 1e-9;
const xlog = (x: number) => (x > LEAST_MASS ? x * Math.log(x) : 0);

function byRate(flat: Flat, belief: Float64Array, seen: string, reached: number): readonly Rated[] {
  const list: Rated[] = [];
  const doubt = about(flat, belief).nats;
  flat.looks.forEach((look, i) => {
    if (seen[i] !== NOT_TAKEN) return;
    const bits = bitsOf(flat, look, belief, doubt);
    if (bits >= LEAST_BITS) list.push({ look: i, bits, rate: bits / minutesOf(look, reached) });
  });
  return list.sort((p, q) => q.rate - p.rate);
}

interface Standing {
  readonly belief: Float64Array;
  /** The doubt about the fault, which no look can tell more than. */
  readonly nats: number;
  readonly seen: string;
  readonly reached: number;
}

interface Rated {
  readonly look: number;
  readonly bits: number;
  readonly rate: number;
}

/**
 * The first of `byRate`, without weighing what cannot be it: a look tells no more than there is doubt, and no more
 * than its results can hold apart. The quickest are weighed first, for they leave the least to weigh.
 */
function bestByRate(flat: Flat, { belief, nats, seen, reached }: Standing): Rated | undefined {
  let best: Rated | undefined;
  for (const i of quickestFirst(flat, reached)) {
    if (seen[i] !== NOT_TAKEN) continue;
    const look = flat.looks[i] as LookTable;
    const minutes = minutesOf(look, reached);
    if (best && Math.min(nats, look.mostNats) / Math.LN2 < best.rate * minutes) continue;
    const bits = bitsOf(flat, look, belief, nats);
    const rate = bits / minutes;
    if (bits >= LEAST_BITS && (!best || rate > best.rate || (rate === best.rate && i < best.look))) best = { look: i, bits, rate };
  }
  return best;
}

/** Looks by their minutes from here, the opening to them included. */
function quickestFirst({ looks, orders }: Pick<Flat, 'looks' | 'orders'>, reached: number): readonly number[] {
  const before = orders.get(reached);
  if (before) return before;
  const minutes = looks.map((look) => minutesOf(look, reached));
  const order = looks.map((_, i) => i).sort((p, q) => (minutes[p] as number) - (minutes[q] as number) || p - q);
  orders.set(reached, order);
  return order;
}

function follower(flat: Flat, confidence: number) {
  // What was seen, not in which order, decides what is left: ways that meet again are worked out once.
  const known = new Map<string, number>();
  const after = (look: number, belief: Float64Array, seen: string, reached: number, weight: number): number => {
    const each = flat.looks[look] as LookTable;
    const approach = each.approach(reached);
    let minutes = each.minutes + approach.minutes;
    each.rows.forEach((row, result) => {
      const next = new Float64Array(belief.length);
      let p = 0;
      for (let h = 0; h < belief.length; h++) p += next[h] = (belief[h] as number) * (row[h] as number);
      for (let h = 0; h < belief.length; h++) next[h] = (next[h] as number) / p;
      minutes += p * left(next, noted(seen, look, result), approach.open, weight * p);
    });
    return minutes;
  };
  const left = (belief: Float64Array, seen: string, reached: number, weight: number): number => {
    const before = known.get(seen);
    if (before !== undefined) return before;
    const made = workedOut(belief, seen, reached, weight);
    known.set(seen, made);
    return made;
  };
  const workedOut = (belief: Float64Array, seen: string, reached: number, weight: number): number => {
    const { sure, nats } = about(flat, belief);
    if (sure >= confidence) return (1 - sure) * WRONG_VERDICT_MINUTES;
    const best = bestByRate(flat, { belief, nats, seen, reached });
    if (!best) return NO_VERDICT_MINUTES;
    return weight < LEAST_BRANCH
      ? Math.min(NO_VERDICT_MINUTES, Math.max(best.bits, nats / Math.LN2) / best.rate)
      : after(best.look, belief, seen, reached, weight);
  };
  return { after };
}

/** What was seen, a sign for each look: not taken, or the number of its result. */
const NOT_TAKEN = '.';
const TAKEN = '+';
const noted = (seen: string, look: number, result: number) => seen.slice(0, look) + String.fromCharCode(65 + result) + seen.slice(look + 1);

/** The chance of the likeliest fault, alone or with another, and the doubt about which it is, in nats. */
function about({ faultOf, otherOf, faults, none }: Flat, belief: Float64Array): { sure: number; nats: number } {
  const mass = new Float64Array(faults);
  const withOther = new Float64Array(faults);
  for (let h = 0; h < belief.length; h++) {
    const fault = faultOf[h] as number;
    const other = otherOf[h] as number;
    const m = belief[h] as number;
    mass[fault] = (mass[fault] as number) + m;
    if (other >= 0) withOther[other] = (withOther[other] as number) + m;
  }
  let sure = 0;
  let nats = 0;
  for (let f = 0; f < faults; f++) {
    if (f !== none) sure = Math.max(sure, (mass[f] as number) + (withOther[f] as number));
    nats -= xlog(mass[f] as number);
  }
  return { sure, nats };
}
