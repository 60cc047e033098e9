import { predictive, update, type Belief } from '../inference/belief.ts';
import { expectedInformation } from '../inference/expectedInformation.ts';
import { keysOf, NONE_OF_THESE, NOTHING_ELSE, type Hypothesis } from './hypotheses.ts';
import { reachOf, type Approach } from '../access/state.ts';
import { cautionsOn } from './cautionsOn.ts';
import type { LookOutcome } from './lookOutcome.ts';
import type { Look, Pack } from './pack.ts';
import type { PackModel } from './packModel.ts';
import { lookWants, statesLacking } from './wanted.ts';
import type { LookAdvice } from './schema.ts';

/** A look that promises less than this is not worth getting up for. */
export const LEAST_BITS = 0.01;
/** And one that promises less than this is not worth putting something together for. */
const BITS_FOR_PUTTING_BACK = 0.05;

interface Question {
  readonly pack: Pack;
  readonly model: PackModel;
  readonly belief: Belief;
  readonly taken: ReadonlySet<string>;
  readonly reached: ReadonlySet<string>;
  /** A look that is wanted however little it promises. */
  readonly wanted?: string | undefined;
}

interface Ranking {
  readonly possible: LookAdvice[];
  /** Looks that would tell something and have no way to them from here, with the states they lack. */
  readonly notPossible: { look: string; states: string[] }[];
}

/** Looks not yet taken, best information per minute first. Information is about faults, not about how they show. */
export function rankLooks({ pack, model: { hypotheses, outcomes }, belief, taken, reached, wanted }: Question): Ranking {
  const reach = reachOf(pack);
  const worth = pack.looks
    .filter(({ id }) => !taken.has(id))
    .map((look) => ({ look, information: faultInformation(belief, hypotheses, outcomes.get(look.id) ?? []) }))
    .filter(({ look, information }) => information.bits >= LEAST_BITS || look.id === wanted)
    .map((each) => ({ ...each, way: reach.approachOf(lookWants(pack, each.look), reached) }));
  const isWorthUndoing = ({ look, information, way }: (typeof worth)[number]) =>
    look.id === wanted || !way?.undo.length || information.bits >= BITS_FOR_PUTTING_BACK;
  return {
    possible: worth
      .filter(isWorthUndoing)
      .flatMap(({ look, information, way }) => (way ? [advise(pack, { look, information, way })] : []))
      .sort((p, q) => q.expectedBits / q.minutes - p.expectedBits / p.minutes),
    notPossible: worth.filter(({ way }) => !way).map(({ look }) => ({ look: look.id, states: [...statesLacking(pack, look, reached)] })),
  };
}

/** What each hypothesis counts for, as places in the list of all keys. */
interface KeyIndex {
  readonly keys: readonly string[];
  readonly placesOf: readonly (readonly number[])[];
}

const remembered = new WeakMap<readonly Hypothesis[], KeyIndex>();

function keyed(hypotheses: readonly Hypothesis[]): KeyIndex {
  const before = remembered.get(hypotheses);
  if (before) return before;
  const all = hypotheses.map(keysOf);
  const places = new Map([...new Set(all.flat())].map((key, i) => [key, i]));
  const made = { keys: [...places.keys()], placesOf: all.map((keys) => keys.map((key) => places.get(key) ?? 0)) };
  remembered.set(hypotheses, made);
  return made;
}

/** The likelihood of an outcome under a fault is the mean over the ways in which the fault shows; of two at once each counts half. */
export function faultInformation(belief: Belief, hypotheses: readonly Hypothesis[], outcomes: readonly LookOutcome[]) {
  const { keys, placesOf } = keyed(hypotheses);
  const shares = hypotheses.map(({ id }, h) => (belief[id] ?? 0) / (placesOf[h]?.length ?? 1));
  const massOf = (likelihood: (h: number) => number) => {
    const mass = keys.map(() => 0);
    shares.forEach((share, h) => {
      const part = share > 0 ? share * likelihood(h) : 0;
      for (const place of placesOf[h] ?? []) mass[place] = (mass[place] ?? 0) + part;
    });
    return mass;
  };
  const sums = massOf(() => 1);
  const faults = Object.fromEntries(keys.map((key, i) => [key, sums[i] ?? 0]));
  const merged = outcomes.map((outcome) => {
    const joint = massOf((h) => outcome.likelihood(hypotheses[h]?.id ?? ''));
    const means = new Map(keys.map((key, i) => [key, (sums[i] ?? 0) > 0 ? (joint[i] ?? 0) / (sums[i] ?? 1) : 0]));
    return { ...outcome, likelihood: (key: string) => means.get(key) ?? 0 };
  });
  return { ...expectedInformation(faults, merged), tellsApart: mostMoved(faults, merged) };
}

/** The two faults whose probability changes the most on average, whatever the result. */
function mostMoved(faults: Belief, outcomes: readonly LookOutcome[]): readonly string[] {
  const after = outcomes.map((outcome) => ({ weight: predictive(faults, outcome.likelihood), belief: update(faults, outcome.likelihood) }));
  const change = (id: string) =>
    after.reduce((sum, { weight, belief }) => sum + weight * Math.abs((belief[id] ?? 0) - (faults[id] ?? 0)), 0);
  return Object.keys(faults)
    .filter((id) => id !== NONE_OF_THESE && id !== NOTHING_ELSE)
    .map((id) => ({ id, change: change(id) }))
    .sort((p, q) => q.change - p.change)
    .slice(0, 2)
    .map(({ id }) => id);
}

interface AdviseOptions {
  readonly look: Look;
  readonly information: ReturnType<typeof faultInformation>;
  readonly way: Approach;
}

function advise(pack: Pack, { look, information, way: { undo, steps, minutes } }: AdviseOptions): LookAdvice {
  return {
    look: look.id,
    name: look.name,
    minutes: look.minutes + minutes,
    lookMinutes: look.minutes,
    expectedBits: information.bits,
    tellsApart: [...information.tellsApart],
    results: information.results.map(({ result, probability }) => ({ result, probability })),
    undo: [...undo],
    steps: [...steps],
    cautions: [...cautionsOn(pack, look.cautions, steps)],
    ...(look.kind === 'table' && look.tries && { tries: look.tries }),
  };
}
