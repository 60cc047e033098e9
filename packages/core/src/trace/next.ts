import { fail } from '../failure/CoreFailure.ts';
import { update, type Belief } from '../inference/belief.ts';
import { rankLooks } from './advice.ts';
import { byFault, NONE_OF_THESE, NOTHING_ELSE, priorOf, shiftsOf, type Hypothesis } from './hypotheses.ts';
import { lookAhead, type Plan } from './lookAhead.ts';
import type { Pack } from './pack.ts';
import { packModel, type Outcomes } from './packModel.ts';
import type { LookAdvice, TraceInput, TraceOutput } from './schema.ts';

/** The result that any look may have: it was tried and told nothing. */
export const CANNOT_TELL = 'cannot-tell';

/**
 * Which fault is it, and which look is worth the next minutes? Bayes' rule over the faults of one
 * machine family; the looks by expected information per minute (Lindley 1956), the minutes counting
 * the opening still to do, and of the best of them the one that leads to the verdict soonest. A look taken twice counts by its last result; "cannot tell" moves
 * nothing. The verdict is given from `confidence` on (default 0.9), and then no next look.
 *
 * @throws CoreFailure for a look, result or step the family does not have.
 */
export function traceNext(input: TraceInput, pack: Pack): TraceOutput {
  const model = packModel(pack, input.found);
  const { hypotheses, outcomes } = model;
  check(input, pack, outcomes);
  const seen = lastOfEach(input.observations);
  const prior = priorOf(pack, input.facts, input.found);
  const trail = follow(prior, seen, outcomes);
  const belief = trail.at(-1)?.belief ?? prior;
  const faults = byFault(hypotheses, belief);
  const [first] = Object.entries(faults).sort(([, p], [, q]) => q - p);
  const verdict = first && first[0] !== NONE_OF_THESE && first[1] >= input.confidence ? { fault: first[0], probability: first[1] } : null;
  const progress = { belief, taken: new Set(seen.map(({ look }) => look)), reached: new Set(input.reached) };
  const plans = verdict ? [] : lookAhead(pack, model, progress, input.confidence);
  const advice = inOrderOf(plans, rankLooks({ pack, model, ...progress }));

  return {
    suspects: suspectsOf(pack, { hypotheses, prior, faults, trail }),
    noneOfTheseProbability: faults[NONE_OF_THESE] ?? 0,
    next: verdict ? null : (advice[0] ?? null),
    alternatives: verdict ? advice : advice.slice(1),
    verdict,
    ...(NOTHING_ELSE in faults ? { nothingElseProbability: faults[NOTHING_ELSE] } : {}),
    remainingMinutesEstimate: plans[0]?.minutesToVerdict ?? 0,
    factShifts: [...shiftsOf(pack, input.facts)],
  };
}

/** Looks followed to their end come first, fewest minutes to the verdict leading; the rest stay by their rate. */
function inOrderOf(plans: readonly Plan[], advice: readonly LookAdvice[]): LookAdvice[] {
  const followed = plans.flatMap(({ look, minutesToVerdict }) =>
    advice.filter((each) => each.look === look).map((each) => ({ ...each, minutesToVerdict })),
  );
  return [...followed, ...advice.filter(({ look }) => !plans.some((plan) => plan.look === look))];
}

interface TrailStep {
  readonly look: string;
  readonly result: string;
  readonly belief: Belief;
}

type Observation = TraceInput['observations'][number];

function check({ observations, reached, found }: TraceInput, pack: Pack, outcomes: Outcomes): void {
  observations.forEach(({ look, result }, i) => {
    const found = outcomes.get(look);
    if (!found) throw fail('unknownId', `observations.${i}.look`, { given: look, known: [...outcomes.keys()].join(', ') });
    const results = [...found.map((each) => each.result), CANNOT_TELL];
    if (!results.includes(result)) throw fail('unknownId', `observations.${i}.result`, { given: result, known: results.join(', ') });
  });
  found.forEach((id, i) => {
    if (!pack.faults.some((fault) => fault.id === id)) {
      throw fail('unknownId', `found.${i}`, { given: id, known: pack.faults.map((fault) => fault.id).join(', ') });
    }
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

interface SuspectsOfOptions {
  readonly hypotheses: readonly Hypothesis[];
  readonly prior: Belief;
  readonly faults: Belief;
  readonly trail: readonly TrailStep[];
}

function suspectsOf(pack: Pack, { hypotheses, prior, faults, trail }: SuspectsOfOptions): TraceOutput['suspects'] {
  const before = byFault(hypotheses, prior);
  const after = trail.map(({ belief }) => byFault(hypotheses, belief));
  const joints = new Set(pack.driveline.joints.map(({ id }) => id));
  return pack.faults
    .filter(({ id }) => id in faults)
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
