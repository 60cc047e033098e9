import { reachOf } from '../access/state.ts';
import type { Belief } from '../inference/belief.ts';
import type { Evidence, Observation } from './evidence.ts';
import { NONE_OF_THESE, NOTHING_ELSE } from './hypotheses.ts';
import type { Pack } from './pack.ts';
import { lookWants } from './wanted.ts';
import type { LookAdvice, TraceInput, TraceOutput } from './schema.ts';

/** That there is nothing else ends the search later than a fault does: the machine is closed on it. */
const NOTHING_ELSE_CONFIDENCE = 0.98;

/** An own sight, or a plan, is worth so many minutes for each whole of doubt; after a find less (judgement, from stories). */
const MINUTES_OF_DOUBT = 400;
const MINUTES_AFTER_FIND = 180;
/** Where somebody can be hurt it is worth so many times as much. */
const WHERE_IT_HURTS = 2;
const SIGHT_MINUTES = { least: 15, most: 60 } as const;
/** A fault less likely than this is not mistaken for another any more. */
const IN_PLAY = 0.01;
/** Looks that take no longer than this are still taken with nothing of the list ahead, and before it is said that there is nothing else. */
const GLANCE_MINUTES = 3;
const NONE_LEADS = 0.5;

interface Weighing {
  readonly pack: Pack;
  readonly faults: Belief;
  readonly seen: readonly Observation[];
  readonly input: TraceInput;
  readonly evidence: Evidence;
  /** Faults that a result settled. */
  readonly settled: ReadonlySet<string>;
  readonly progress: { readonly taken: ReadonlySet<string>; readonly reached: ReadonlySet<string> };
}

export interface Judgement {
  readonly verdict: TraceOutput['verdict'];
  readonly toLookAt: TraceOutput['toLookAt'];
  readonly unexplained: TraceOutput['unexplained'];
}

/** Every fault that is sure and has the evidence for it, the surest first; else what of the sure ones is to be looked at. */
export function judge(weighed: Weighing): Judgement {
  const { pack, faults, seen, input, evidence, settled } = weighed;
  const listed = pack.faults.map(({ id }) => id).filter((id) => id in faults);
  const unexplained = seen.filter((each) => evidence.isFinding(each) && !listed.some((fault) => evidence.explains(fault, each)));
  // Three and more that were seen stand beside each other, though no two of them need be likely together.
  const sure = Object.entries(faults)
    .filter(([id, p]) => id !== NONE_OF_THESE && id !== NOTHING_ELSE && (p >= input.confidence || settled.has(id)))
    .sort(([, p], [, q]) => q - p);
  const wanted = sure.flatMap(([fault, p]) => (settled.has(fault) ? [] : (wantedFor(weighed, fault, p) ?? [])));
  const isProven = (fault: string) => isShown(weighed, fault) && !wanted.some((each) => each.fault === fault) && !isDenied(weighed, fault);
  const proven = sure.filter(([fault]) => settled.has(fault) || isProven(fault));
  const [first] = proven;
  return {
    verdict: first ? { fault: first[0], probability: first[1], faults: proven.map(([id]) => id) } : null,
    toLookAt: first ? null : (wanted[0] ?? null),
    unexplained,
  };
}

const isShown = ({ seen, evidence, input }: Weighing, fault: string): boolean =>
  seen.some((each) => evidence.explains(fault, each)) || input.ownLooks.some((own) => own.fault === fault && own.speaks === 'for');

/** The look that a sure fault still wants: its own sight where that is worth its minutes, or one that would show it at all. */
function wantedFor(weighed: Weighing, fault: string, p: number): TraceOutput['toLookAt'] {
  const { pack, evidence } = weighed;
  const own = ownSightsOf(weighed, fault, (other) => (weighed.faults[other] ?? 0) >= IN_PLAY);
  const minutes = minutesOf(weighed);
  const byChance = pack.looks
    .filter(({ id }) => !weighed.progress.taken.has(id))
    .map(({ id }) => ({ look: id, chance: evidence.chanceOfFinding(fault, id), minutes: minutes(id) }))
    .filter(({ chance, minutes: needed }) => chance > 0 && Number.isFinite(needed))
    .sort((a, b) => b.chance - a.chance || a.minutes - b.minutes);
  const sights = byChance.filter(({ look }) => own.has(look)).sort((a, b) => a.minutes - b.minutes);
  const hadOwn = [...own].some((look) => weighed.seen.some((each) => each.look === look));
  const [sight] = sights;
  if (sight && (!hadOwn || isDenied(weighed, fault)) && sight.minutes <= worthOfSight(pack, p)) return { fault, look: sight.look };
  if (isShown(weighed, fault)) return null;
  const [best] = byChance;
  return best ? { fault, look: best.look } : null;
}

/** Looks in which the fault itself is seen: those that settle it, else those that no other looks like. */
function ownSightsOf({ pack, evidence }: Weighing, fault: string, isInPlay: (other: string) => boolean): ReadonlySet<string> {
  const settling = pack.looks.filter(
    ({ id, ...look }) =>
      look.kind === 'table' && look.results.some(({ settles }) => settles === fault) && evidence.chanceOfFinding(fault, id) > 0,
  );
  return new Set(settling.length > 0 ? settling.map(({ id }) => id) : evidence.ownSights(fault, isInPlay));
}

/**
 * Whoever looked at the very thing and did not see it stands against it, unless another sight shows it; that all others are out
 * is none.
 */
function isDenied(weighed: Weighing, fault: string): boolean {
  const { seen, evidence } = weighed;
  const own = ownSightsOf(weighed, fault, () => true);
  const had = seen.filter(({ look }) => own.has(look));
  return (
    !had.some((each) => evidence.explains(fault, each)) && had.some(({ look }) => evidence.chanceOfFinding(fault, look) >= SURELY_SEEN)
  );
}

/** A sight that shows its fault so often is not passed over. */
const SURELY_SEEN = 0.9;

const worthOfSight = ({ safetyCritical }: Pack, p: number): number =>
  safetyCritical ? Infinity : Math.min(SIGHT_MINUTES.most, Math.max(SIGHT_MINUTES.least, MINUTES_OF_DOUBT * (1 - p)));

function minutesOf({ pack, progress }: Weighing): (look: string) => number {
  const reach = reachOf(pack);
  return (id) => {
    const look = pack.looks.find((each) => each.id === id);
    const way = look && reach.approachOf(lookWants(pack, look), progress.reached);
    return look && way ? look.minutes + way.minutes : Infinity;
  };
}

const leadOf = (faults: Belief): number =>
  Math.max(0, ...Object.entries(faults).map(([id, p]) => (id === NONE_OF_THESE || id === NOTHING_ELSE ? 0 : p)));

const noneLeads = (faults: Belief): boolean => {
  const none = faults[NONE_OF_THESE] ?? 0;
  return none > NONE_LEADS && none > leadOf(faults);
};

/** With nothing of the list ahead the machine is not opened for what is left of it: only what takes no time is still looked at. */
export const isGlanceAt = (pack: Pack, faults: Belief): ((each: LookAdvice) => boolean) =>
  noneLeads(faults) ? isGlanceFor(pack) : () => false;

const isGlanceFor =
  ({ safetyCritical }: Pack) =>
  ({ minutes }: LookAdvice): boolean =>
    minutes <= GLANCE_MINUTES * (safetyCritical ? WHERE_IT_HURTS : 1);

interface Ending extends Weighing {
  readonly judged: Judgement;
  readonly advice: readonly LookAdvice[];
  /** Of the plan, to its verdict. */
  readonly minutes: number;
}

/** Whether nothing more is asked, and why; null where the next look is worth its minutes. */
export function endOf({ pack, faults, seen, input, evidence, judged, advice, minutes }: Ending): TraceOutput['end'] {
  const { verdict, toLookAt, unexplained } = judged;
  const findings = seen.filter((each) => evidence.isFinding(each));
  if (verdict) {
    const because = findings.filter((each) => verdict.faults.some((fault) => evidence.explains(fault, each)));
    return { kind: 'fault', fault: verdict.fault, probability: verdict.probability, because };
  }
  if (toLookAt && advice.length > 0) return null;
  const none = faults[NONE_OF_THESE] ?? 0;
  const nothingElse = faults[NOTHING_ELSE] ?? 0;
  const lead = leadOf(faults);
  const open = unexplained.filter(
    ({ look }) => !input.left.some((each) => each.look === look) && input.observations.filter((each) => each.look === look).length < 2,
  );
  const isOver =
    advice.length === 0 ||
    !pays({ pack, minutes, doubt: input.found.length > 0 ? 1 - nothingElse - none : 1 - Math.max(lead, none) }, input);
  if (input.found.length > 0) {
    // What takes no time is still looked at before the machine is closed on it.
    if (advice.some(({ minutes: needed }) => needed <= GLANCE_MINUTES)) return null;
    if (nothingElse >= Math.max(input.confidence, NOTHING_ELSE_CONFIDENCE) && open.length === 0)
      return { kind: 'nothingElse', probability: nothingElse, because: [] };
    return isOver ? { kind: 'notWorthIt', probability: Math.max(lead, none, nothingElse), because: findings } : null;
  }
  if (noneLeads(faults)) {
    if (advice.some(isGlanceFor(pack))) return null;
    return { kind: 'noneOfThese', probability: none, because: unexplained };
  }
  if (!isOver) return null;
  return none > lead
    ? { kind: 'noneOfThese', probability: none, because: unexplained }
    : { kind: 'notWorthIt', probability: lead, because: findings };
}

const pays = ({ pack, minutes, doubt }: { pack: Pack; minutes: number; doubt: number }, { found }: TraceInput): boolean =>
  minutes <= (found.length > 0 ? MINUTES_AFTER_FIND : MINUTES_OF_DOUBT) * doubt * (pack.safetyCritical ? WHERE_IT_HURTS : 1);
