import { reachOf } from '../access/state.ts';
import { update, type Belief, type Likelihood } from '../inference/belief.ts';
import { own } from '../operation/own.ts';
import { rankLooks } from './advice.ts';
import {
  byFault,
  holds,
  keysOf,
  NONE_OF_THESE,
  NOTHING_ELSE,
  priorOf,
  saidOf,
  shiftsOf,
  SOUND,
  waysAlone,
  type Hypothesis,
} from './hypotheses.ts';
import { cheapWhileCheap } from './cheapWhileCheap.ts';
import { curesIn, isCure, settledFaults } from './cures.ts';
import { endOf, isGlanceAt, judge, type Judgement } from './ending.ts';
import { evidenceOf } from './evidence.ts';
import { lookAhead, type Plan } from './lookAhead.ts';
import { idsOf, need } from './names.ts';
import type { Pack } from './pack.ts';
import { packForFacts } from './overrides.ts';
import { packModel, type Outcomes, type PackModel } from './packModel.ts';
import type { LookOutcome } from './lookOutcome.ts';
import type { LookAdvice, TraceInput, TraceOutput } from './schema.ts';
import { lookWants, wantedBy } from './wanted.ts';

/** The result that any look may have: it was tried and told nothing. */
export const CANNOT_TELL = 'cannot-tell';

/** What the result of an own look is called in the trail. */
const OWN_LOOK = 'own';

/** Chance of seeing such a thing where the suspect is there, by how sure one is of it (judgement); its counterpart where it is not. */
const SURE = { little: 2 / 3, fairly: 5 / 6, very: 0.95 } as const;

/** Chance from which on two faults at once are shown as both. */
const SHOWN_PAIR = 0.1;

/**
 * Which fault is it, and which look is worth the next minutes? Bayes' rule over the faults of one
 * machine family, the pairs of them that can be there at once, and what is on no list; the looks by expected
 * information per minute (Lindley 1956), the minutes counting what must be opened, and put back, for the look to be
 * possible, and of the best of them the one that leads to the verdict soonest. A look taken twice counts
 * by its last result; "cannot tell" moves nothing. A verdict is given from `confidence` on (default 0.9), and only
 * for what a finding speaks for and whose own sight, where it is worth its minutes, was had; then no next look.
 *
 * @throws CoreFailure for a look, result, step or suspect the family does not have.
 */
export function traceNext(input: TraceInput, family: Pack): TraceOutput {
  const pack = packForFacts(family, input.facts);
  const model = packModel(pack, input.found);
  const { hypotheses, outcomes } = model;
  check(input, pack, outcomes);
  const last = lastOfEach(input.observations);
  const said = saidOf(pack, input);
  const evidence = evidenceOf(pack, model, input.found);
  const { seen, proven, ...cures } = curesIn(pack, { observations: input.observations, last, said, evidence });
  const toConfirm = isAtHand(pack, cures.toConfirm?.look, input.reached) ? cures.toConfirm : null;
  const settles = (observation: Observation) =>
    settledFaults(pack, observation).filter(
      (fault) => (proven.has(fault) || !isCure(pack, observation)) && hypotheses.some((other) => holds(other, fault)),
    );
  const settling = seen.filter((each) => settles(each).length > 0);
  const settled = new Set(settling.flatMap(settles));
  const prior = priorOf(pack, input, hypotheses);
  // What settles a fault comes last: it holds whatever was seen before and after.
  const followed = follow(prior, [
    ...seen.filter((each) => !settling.includes(each)).map((each) => found(each, outcomes)),
    ...input.ownLooks.map((each, i) => seenBesides(each, i, hypotheses)),
    ...settling.map((each) => found(each, outcomes)),
  ]);
  const trail = withSettled(followed, { hypotheses, settled });
  const belief = trail.at(-1)?.belief ?? prior;
  const faults = byFault(hypotheses, belief);
  const gone = goneBy(pack, last);
  const isAskedAgain = (each: Observation) => worthAnother(each, input, pack) || each.look === toConfirm?.look;
  const taken = new Set([...last.filter((each) => !isAskedAgain(each)), ...gone].map(({ look }) => look));
  const progress = { belief, taken, reached: new Set(input.reached) };
  const weighed = { pack, faults, seen, input, evidence, settled, progress };
  const judged = confirming(judge(weighed), toConfirm);
  const plans = judged.verdict ? [] : lookAhead(pack, model, progress, input.confidence);
  const ranked = rankLooks({ pack, model, ...progress, wanted: judged.toLookAt?.look });
  const first = [...new Set(said.flatMap((each) => each.first))];
  const advice = beforeTheEyesFirst(inOrderOf(plans, ranked.possible), first);
  const wanted = withFirst(advice, judged.toLookAt ? ({ look }) => look === judged.toLookAt?.look : isGlanceAt(pack, faults));
  const ordered = cheapWhileCheap(pack, wanted, input.reached);
  const end = endOf({ ...weighed, judged, advice: ordered, minutes: plans[0]?.minutesToVerdict ?? 0 });

  return {
    suspects: suspectsOf(pack, { hypotheses, prior, faults, trail }),
    noneOfTheseProbability: faults[NONE_OF_THESE] ?? 0,
    noneOfThese: kindsOfNone(hypotheses, belief),
    places: placesOf(pack, hypotheses, belief),
    next: end ? null : (ordered[0] ?? null),
    alternatives: end ? ordered : ordered.slice(1),
    notPossible: [...ranked.notPossible, ...gone],
    pairs: pairsIn(hypotheses, belief),
    verdict: judged.verdict,
    toLookAt: judged.toLookAt,
    end,
    unexplained: judged.unexplained,
    finds: seen.flatMap((each) => explained(each, { pack, model, faults, found: input.found })),
    ...(NOTHING_ELSE in faults ? { nothingElseProbability: faults[NOTHING_ELSE] } : {}),
    remainingMinutesEstimate: plans[0]?.minutesToVerdict ?? 0,
    factShifts: [...shiftsOf(pack, input)],
  };
}

/** Whether the complaint is gone after a cure is looked at before anything else, where no verdict stands without it. */
const confirming = (judged: Judgement, toConfirm: TraceOutput['toLookAt']): Judgement =>
  toConfirm && !judged.verdict ? { ...judged, toLookAt: toConfirm } : judged;

/** Whether a look is possible as the machine stands, with nothing to be put back for it. */
function isAtHand(pack: Pack, id: string | undefined, reached: readonly string[]): boolean {
  const look = pack.looks.find((each) => each.id === id);
  const way = look && reachOf(pack).approachOf(lookWants(pack, look), reached);
  return way !== null && way !== undefined && way.undo.length === 0 && way.steps.length === 0;
}

const withFirst = (advice: readonly LookAdvice[], goesFirst: (each: LookAdvice) => boolean): LookAdvice[] => [
  ...advice.filter(goesFirst),
  ...advice.filter((each) => !goesFirst(each)),
];

/** Chance that the thing itself was seen where somebody says that it was in their hand (judgement). */
const SETTLED = 0.99;

/**
 * What was seen wins: a fault that a result settles is there, whatever was likely before, and whatever moved or did not; of
 * several as many as can be there together.
 */
function withSettled(
  trail: readonly TrailStep[],
  { hypotheses, settled }: { hypotheses: readonly Hypothesis[]; settled: ReadonlySet<string> },
): readonly TrailStep[] {
  const last = trail.at(-1);
  if (!last || settled.size === 0) return trail;
  const countOf = ({ faults }: Hypothesis) => faults.filter(({ fault }) => settled.has(fault.id)).length;
  const most = Math.max(...hypotheses.map(countOf));
  const there = new Set(hypotheses.filter((each) => countOf(each) === most).map(({ id }) => id));
  const sum = [...there].reduce((total, id) => total + (last.belief[id] ?? 0), 0);
  if (sum >= SETTLED) return trail;
  const belief = Object.fromEntries(
    Object.entries(last.belief).map(([id, p]) => [id, there.has(id) ? (p / sum) * SETTLED : (p / (1 - sum)) * (1 - SETTLED)]),
  );
  return [...trail.slice(0, -1), { ...last, belief }];
}

/**
 * A sight that showed what was found is worth another look beside it, once: whoever saw the torn teeth may
 * have passed over the rough bearing.
 */
function worthAnother({ look: id, result }: Observation, { observations, found }: TraceInput, pack: Pack): boolean {
  const look = pack.looks.find((each) => each.id === id);
  if (look?.kind !== 'table' || !look.seen || observations.filter((each) => each.look === id).length > 1) return false;
  const place = look.results.findIndex((each) => each.id === result);
  return found.some((fault) => (own(look.likelihoods, fault)?.[place] ?? 0) >= 0.5);
}

/** Looks whose moment is gone: another look ended what they need, and nothing brings it back. */
const goneBy = (pack: Pack, seen: readonly Observation[]): TraceOutput['notPossible'] => {
  const ended = new Set(pack.looks.filter(({ id }) => seen.some(({ look }) => look === id)).flatMap(({ takes }) => takes));
  const lost = [...ended].filter((state) => !pack.steps.some(({ gives }) => gives.includes(state)));
  return pack.looks
    .filter(({ id }) => !seen.some(({ look }) => look === id))
    .map((look) => ({ look: look.id, states: wantedBy(pack, look).filter((state) => lost.includes(state)) }))
    .filter(({ states }) => states.length > 0);
};

function kindsOfNone(hypotheses: readonly Hypothesis[], belief: Belief): TraceOutput['noneOfThese'] {
  const sums = { outside: 0, unlisted: 0, sound: 0 };
  for (const { id, none } of hypotheses) if (none) sums[none] += belief[id] ?? 0;
  return sums;
}

/** Chance that something at each place is wrong, listed there or not; of two at one place counted once, so never above 1. */
function placesOf(pack: Pack, hypotheses: readonly Hypothesis[], belief: Belief): TraceOutput['places'] {
  const sums = new Map<string, number>();
  for (const { id, faults, place } of hypotheses) {
    const at = new Set([...faults.map(({ fault }) => fault.at), ...(place === undefined ? [] : [place])]);
    for (const each of at) sums.set(each, (sums.get(each) ?? 0) + (belief[id] ?? 0));
  }
  return [...sums]
    .map(([at, probability]) => ({ at, probability: Math.min(1, probability) }))
    .sort((p, q) => q.probability - p.probability);
}

/** Chance of each two faults at once, both ways in which they show together. */
function pairsIn(hypotheses: readonly Hypothesis[], belief: Belief): TraceOutput['pairs'] {
  const sums = new Map<string, { faults: string[]; probability: number }>();
  for (const hypothesis of hypotheses) {
    if (hypothesis.faults.length < 2) continue;
    const faults = [...keysOf(hypothesis)];
    const key = faults.join('+');
    sums.set(key, { faults, probability: (sums.get(key)?.probability ?? 0) + (belief[hypothesis.id] ?? 0) });
  }
  return [...sums.values()].filter(({ probability }) => probability >= SHOWN_PAIR).sort((p, q) => q.probability - p.probability);
}

/** A find that a sound machine would most likely not show, with the suspects that would; of two seen at once, those of either. */
function explained(
  { look, result }: Observation,
  { pack, model: { hypotheses, outcomes }, faults, found }: { pack: Pack; model: PackModel; faults: Belief; found: readonly string[] },
): TraceOutput['finds'] {
  const results = outcomes.get(look) ?? [];
  const seen = results.find((each) => each.result === result);
  if (!seen || seen.likelihood(SOUND) > UNUSUAL) return [];
  const parts = seen.parts ? results.filter((each) => seen.parts?.includes(each.result)) : [seen];
  const chanceOf = (fault: string, { likelihood }: LookOutcome) =>
    found.includes(fault) ? likelihood(NOTHING_ELSE) : Math.max(0, ...waysAlone(hypotheses, fault).map(({ id }) => likelihood(id)));
  const explains = (fault: string, part: LookOutcome) => {
    const chance = chanceOf(fault, part);
    // Beside what was found, a second explains only what the first does not.
    const without = part.likelihood(found.length > 0 && !found.includes(fault) ? NOTHING_ELSE : SOUND);
    return chance >= 2 * without && chance >= UNUSUAL / 2 ? chance : 0;
  };
  const explaining = pack.faults
    .filter(({ id }) => found.includes(id) || (faults[id] ?? 0) >= WORTH_NAMING)
    .map(({ id }) => ({ id, chance: Math.max(...parts.map((part) => explains(id, part))) }))
    .filter(({ chance }) => chance > 0);
  return [{ look, result, explainedBy: explaining.sort((p, q) => q.chance - p.chance).map(({ id }) => id) }];
}

/** What a sound machine shows no oftener than this is a find. */
const UNUSUAL = 0.3;
/** A suspect less likely than this explains nothing that people want to read. */
const WORTH_NAMING = 0.1;

/**
 * The leak, the noise, the smell that the complaint is about go first, in the order of the family, while
 * they tell anything and need no opening: it costs half a minute, and nobody jacks a machine up before.
 */
function beforeTheEyesFirst(advice: readonly LookAdvice[], first: readonly string[]): LookAdvice[] {
  const eyes = first.flatMap((id) =>
    advice.filter((each) => each.look === id && each.steps.length === 0 && each.undo.length === 0 && each.expectedBits >= WORTH_A_GLANCE),
  );
  return [...eyes, ...advice.filter((each) => !eyes.includes(each))];
}

/** A glance that promises less than this does not go before other looks. */
const WORTH_A_GLANCE = 0.03;

/** Looks followed to their end come first, fewest minutes to the verdict leading; the rest stay by their rate. */
function inOrderOf(plans: readonly Plan[], advice: readonly LookAdvice[]): LookAdvice[] {
  const followed = plans.flatMap(({ look, minutesToVerdict }) =>
    advice.filter((each) => each.look === look).map((each) => ({ ...each, minutesToVerdict })),
  );
  return [...followed, ...advice.filter(({ look }) => !plans.some((plan) => plan.look === look))];
}

interface EvidenceItem {
  readonly look: string;
  readonly result: string;
  readonly likelihood?: Likelihood | undefined;
}

interface TrailStep {
  readonly look: string;
  readonly result: string;
  readonly belief: Belief;
}

const found = ({ look, result }: Observation, outcomes: Outcomes): EvidenceItem => ({
  look,
  result,
  likelihood: outcomes.get(look)?.find((each) => each.result === result)?.likelihood,
});

/** What speaks for a suspect is seen oftener where it is there, and what speaks against it oftener where it is not. */
function seenBesides({ fault, speaks, sure }: TraceInput['ownLooks'][number], i: number, hypotheses: readonly Hypothesis[]): EvidenceItem {
  const there = new Set(hypotheses.filter((each) => holds(each, fault)).map(({ id }) => id));
  const shown = speaks === 'for' ? SURE[sure] : 1 - SURE[sure];
  return { look: `${OWN_LOOK}:${i}`, result: speaks, likelihood: (id) => (there.has(id) ? shown : 1 - shown) };
}

type Observation = TraceInput['observations'][number];

function check({ observations, ownLooks, reached, found }: TraceInput, pack: Pack, outcomes: Outcomes): void {
  const [faults, steps] = [idsOf(pack.faults), idsOf(pack.steps)];
  observations.forEach(({ look, result }, i) => {
    need(new Set(outcomes.keys()), look, `observations.${i}.look`);
    const results = (outcomes.get(look) ?? []).map((each) => each.result);
    need(new Set([...results, CANNOT_TELL]), result, `observations.${i}.result`);
  });
  ownLooks.forEach(({ fault }, i) => need(faults, fault, `ownLooks.${i}.fault`));
  found.forEach((id, i) => need(faults, id, `found.${i}`));
  reached.forEach((id, i) => need(steps, id, `reached.${i}`));
}

function lastOfEach(observations: readonly Observation[]): readonly Observation[] {
  return observations.filter(({ look }, i) => !observations.slice(i + 1).some((later) => later.look === look));
}

function follow(prior: Belief, evidence: readonly EvidenceItem[]): readonly TrailStep[] {
  const trail: TrailStep[] = [];
  let belief = prior;
  for (const { look, result, likelihood } of evidence) {
    if (likelihood) belief = update(belief, likelihood);
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
