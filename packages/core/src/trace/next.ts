import { fail } from '../failure/CoreFailure.ts';
import { predictive, update, type Belief } from '../inference/belief.ts';
import { entropyBits } from '../inference/entropy.ts';
import { expectedInformation } from '../inference/expectedInformation.ts';
import { byFault, hypothesesOf, NONE_OF_THESE, priorOf, shiftsOf, type Hypothesis } from './hypotheses.ts';
import { cautionsOn, stepsToReach } from './opening.ts';
import { outcomesOf, type LookOutcome } from './outcomes.ts';
import type { Look, Pack } from './pack.ts';
import type { LookAdvice, TraceInput, TraceOutput } from './schema.ts';

/** The result that any look may have: it was tried and told nothing. */
export const CANNOT_TELL = 'cannot-tell';

/** A look that promises less than this is not worth getting up for. */
const LEAST_BITS = 0.01;

/**
 * Which fault is it, and which look is worth the next minutes? Bayes' rule over the faults of one
 * machine family; the look with the most expected information per minute (Lindley 1956), the minutes
 * counting the opening still to do. A look taken twice counts by its last result; "cannot tell" moves
 * nothing. The verdict is given from `confidence` on (default 0.9), and then no next look.
 *
 * @throws CoreFailure for a look, result or step the family does not have.
 */
export function traceNext(input: TraceInput, pack: Pack): TraceOutput {
  const { hypotheses, outcomes } = known(pack);
  check(input, pack, outcomes);
  const seen = lastOfEach(input.observations);
  const prior = priorOf(pack, input.facts);
  const trail = follow(prior, seen, outcomes);
  const belief = trail.at(-1)?.belief ?? prior;
  const faults = byFault(hypotheses, belief);
  const [first] = Object.entries(faults).sort(([, p], [, q]) => q - p);
  const verdict = first && first[0] !== NONE_OF_THESE && first[1] >= input.confidence ? { fault: first[0], probability: first[1] } : null;
  const advice = rank(pack, belief, hypotheses, outcomes, seen, new Set(input.reached));

  return {
    suspects: suspectsOf(pack, hypotheses, prior, faults, trail),
    noneOfTheseProbability: faults[NONE_OF_THESE] ?? 0,
    next: verdict ? null : (advice[0] ?? null),
    alternatives: verdict ? advice : advice.slice(1),
    verdict,
    remainingMinutesEstimate: verdict ? 0 : remaining(faults, advice, input.confidence),
    factShifts: [...shiftsOf(pack, input.facts)],
  };
}

interface Known {
  readonly hypotheses: readonly Hypothesis[];
  readonly outcomes: Outcomes;
}

/** What a pack implies whatever was seen (some hundred motions) is worked out once per pack. */
const remembered = new WeakMap<Pack, Known>();

function known(pack: Pack): Known {
  const before = remembered.get(pack);
  if (before) return before;
  const hypotheses = hypothesesOf(pack);
  const made = {
    hypotheses,
    outcomes: new Map(pack.looks.map((look) => [look.id, table(outcomesOf(pack, look, hypotheses), hypotheses)])),
  };
  remembered.set(pack, made);
  return made;
}

/** The same outcomes with their likelihoods looked up instead of worked out. */
function table(outcomes: readonly LookOutcome[], hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return outcomes.map((outcome) => {
    const row = new Map(hypotheses.map(({ id }) => [id, outcome.likelihood(id)]));
    return { ...outcome, likelihood: (id: string) => row.get(id) ?? 0 };
  });
}

interface TrailStep {
  readonly look: string;
  readonly result: string;
  readonly belief: Belief;
}

type Outcomes = ReadonlyMap<string, readonly LookOutcome[]>;
type Observation = TraceInput['observations'][number];

function check({ observations, reached }: TraceInput, pack: Pack, outcomes: Outcomes): void {
  observations.forEach(({ look, result }, i) => {
    const found = outcomes.get(look);
    if (!found) throw fail('unknownId', `observations.${i}.look`, { given: look, known: [...outcomes.keys()].join(', ') });
    const results = [...found.map((each) => each.result), CANNOT_TELL];
    if (!results.includes(result)) throw fail('unknownId', `observations.${i}.result`, { given: result, known: results.join(', ') });
  });
  reached.forEach((id, i) => {
    if (!pack.steps.some((step) => step.id === id)) {
      throw fail('unknownId', `reached.${i}`, { given: id, known: pack.steps.map((step) => step.id).join(', ') });
    }
  });
}

function lastOfEach(observations: readonly Observation[]): readonly Observation[] {
  return observations.filter(({ look }, i) => !observations.slice(i + 1).some((later) => later.look === look));
}

function follow(prior: Belief, seen: readonly Observation[], outcomes: Outcomes): readonly TrailStep[] {
  const trail: TrailStep[] = [];
  let belief = prior;
  for (const { look, result } of seen) {
    const outcome = outcomes.get(look)?.find((each) => each.result === result);
    if (outcome) belief = update(belief, outcome.likelihood);
    trail.push({ look, result, belief });
  }
  return trail;
}

function suspectsOf(
  pack: Pack,
  hypotheses: readonly Hypothesis[],
  prior: Belief,
  faults: Belief,
  trail: readonly TrailStep[],
): TraceOutput['suspects'] {
  const before = byFault(hypotheses, prior);
  const after = trail.map(({ belief }) => byFault(hypotheses, belief));
  const joints = new Set(pack.driveline.joints.map(({ id }) => id));
  return pack.faults
    .map(({ id, name, at }) => ({
      fault: id,
      name,
      ...(joints.has(at) ? { joint: at } : {}),
      at,
      prior: before[id] ?? 0,
      probability: faults[id] ?? 0,
      because: trail
        .map(({ look, result }, i) => ({
          look,
          result,
          bits: Math.log2((after[i]?.[id] ?? 0) / ((i === 0 ? before : after[i - 1])?.[id] ?? 1)),
        }))
        .filter(({ bits }) => Math.abs(bits) > 1e-12),
    }))
    .sort((p, q) => q.probability - p.probability);
}

/** Looks not yet taken, best information per minute first. Information is about faults, not about how they show. */
function rank(
  pack: Pack,
  belief: Belief,
  hypotheses: readonly Hypothesis[],
  outcomes: Outcomes,
  seen: readonly Observation[],
  reached: ReadonlySet<string>,
): LookAdvice[] {
  const taken = new Set(seen.map(({ look }) => look));
  return pack.looks
    .filter(({ id }) => !taken.has(id))
    .map((look) => advise(pack, look, faultInformation(belief, hypotheses, outcomes.get(look.id) ?? []), reached))
    .filter(({ expectedBits }) => expectedBits >= LEAST_BITS)
    .sort((p, q) => q.expectedBits / q.minutes - p.expectedBits / p.minutes);
}

/** The likelihood of an outcome under a fault is the mean over the ways in which the fault shows. */
function faultInformation(belief: Belief, hypotheses: readonly Hypothesis[], outcomes: readonly LookOutcome[]) {
  const faults = byFault(hypotheses, belief);
  const merged = outcomes.map((outcome) => {
    const joint: Record<string, number> = {};
    for (const { id, fault } of hypotheses) {
      const key = fault?.id ?? NONE_OF_THESE;
      joint[key] = (joint[key] ?? 0) + (belief[id] ?? 0) * outcome.likelihood(id);
    }
    return { ...outcome, likelihood: (key: string) => ((faults[key] ?? 0) > 0 ? (joint[key] ?? 0) / (faults[key] ?? 1) : 0) };
  });
  return {
    ...expectedInformation(faults, merged),
    moves: mostMoved(faults, merged),
    names: new Map(outcomes.map(({ result, name }) => [result, name])),
  };
}

/** The two faults whose probability changes the most on average, whatever the result. */
function mostMoved(faults: Belief, outcomes: readonly LookOutcome[]): readonly string[] {
  const after = outcomes.map((outcome) => ({ weight: predictive(faults, outcome.likelihood), belief: update(faults, outcome.likelihood) }));
  const change = (id: string) =>
    after.reduce((sum, { weight, belief }) => sum + weight * Math.abs((belief[id] ?? 0) - (faults[id] ?? 0)), 0);
  return Object.keys(faults)
    .filter((id) => id !== NONE_OF_THESE)
    .map((id) => ({ id, change: change(id) }))
    .sort((p, q) => q.change - p.change)
    .slice(0, 2)
    .map(({ id }) => id);
}

function advise(pack: Pack, look: Look, information: ReturnType<typeof faultInformation>, reached: ReadonlySet<string>): LookAdvice {
  const steps = stepsToReach(pack, look.needs, reached);
  return {
    look: look.id,
    name: look.name,
    minutes: look.minutes + steps.reduce((sum, { minutes }) => sum + minutes, 0),
    lookMinutes: look.minutes,
    expectedBits: information.bits,
    moves: [...information.moves],
    results: information.results.map(({ result, probability }) => ({ result, name: information.names.get(result) ?? result, probability })),
    steps: [...steps],
    cautions: [...cautionsOn(pack, look.cautions, steps)],
  };
}

/** Bits still to win before the verdict, at the mean rate of the best few looks. */
function remaining(faults: Belief, advice: readonly LookAdvice[], confidence: number): number {
  const few = advice.slice(0, 4);
  const bits = few.reduce((sum, each) => sum + each.expectedBits, 0);
  const spent = few.reduce((sum, each) => sum + each.minutes, 0);
  if (bits === 0) return 0;
  const doubt =
    -confidence * Math.log2(confidence) - (1 - confidence) * Math.log2((1 - confidence) / Math.max(1, Object.keys(faults).length - 1));
  return (Math.max(0, entropyBits(faults) - doubt) * spent) / bits;
}
