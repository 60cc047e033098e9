import { normalise, type Belief } from '../inference/belief.ts';
import { FAULT_MODES, type FaultMode } from '../driveline/schema.ts';
import type { Complaint, Fault, Pack } from './pack.ts';
import { own } from '../operation/own.ts';

/** What is known about the machine before any look: hours, age, opened before, stored outdoors … */
export type Facts = Readonly<Record<string, number | boolean | string>>;

/** What all three kinds of "none of these" count for: something that the list does not hold. */
export const NONE_OF_THESE = 'none-of-these';
/**
 * Something outside the chain, something in it that is not listed, or sound after all: the chance of each before any look
 * (judgement, from stories told by people who did not know the lists: of 124 machines 23 had nothing of the list).
 */
export const NONE_PRIORS = { outside: 0.06, unlisted: 0.04, sound: 0.02 } as const;
export type NoneKind = keyof typeof NONE_PRIORS;

/** The id of "nothing else": besides what was found already, the machine is sound. */
export const NOTHING_ELSE = 'nothing-else';
/** The id under which a machine without any fault is asked about; it is no hypothesis. */
export const SOUND = 'sound';
/** Chance that a machine with one fault has a second that the first did not bring about (judgement). */
const SECOND_FAULT_PRIOR = 0.25;
/** Pairs kept, the likeliest first: with the largest family more of them cost time and carry no belief. */
const MOST_PAIRS = 240;

/** A fault in the machine, in one of the ways in which it shows. */
export interface PresentFault {
  readonly fault: Pick<Fault, 'id' | 'at' | 'prior' | 'modes'>;
  readonly mode?: FaultMode | undefined;
  /** Bodies whose own power it takes. */
  readonly dead: readonly string[];
  /** Whoever watches says that the driver is dead; or else only that what they watch stands. */
  readonly told?: boolean | undefined;
}

/** What may be in the machine: one fault in one way, two at once, nothing else, or none of these. */
export interface Hypothesis {
  readonly id: string;
  /** Empty for "none of these" and for "nothing else". */
  readonly faults: readonly PresentFault[];
  /** Its chance before any look, the machine's facts aside, against the others. */
  readonly share: number;
  /** Faults found already, which are in the machine whatever else is; of what is in the chain and not listed, its stand-in. */
  readonly besides: readonly PresentFault[];
  /** Of "none of these", which of the three. */
  readonly none?: NoneKind;
  /** Of what is in the chain and not listed: the joint where it is. */
  readonly place?: string;
}

/** Everything that a hypothesis puts into the machine. */
export const presentIn = ({ faults, besides }: Hypothesis): readonly PresentFault[] => [...besides, ...faults];

/** What a hypothesis counts for when faults are weighed: its faults, "nothing else", or "none of these". */
export const keysOf = ({ id, faults, none }: Hypothesis): readonly string[] => {
  if (none) return [NONE_OF_THESE];
  return faults.length > 0 ? faults.map(({ fault }) => fault.id) : [id];
};

/** Whether this fault is in it, besides what was found. */
export const holds = ({ faults }: Hypothesis, fault: string): boolean => faults.some((each) => each.fault.id === fault);

/** The ways in which this fault alone is in the machine. */
export const waysAlone = (hypotheses: readonly Hypothesis[], fault: string): readonly Hypothesis[] =>
  hypotheses.filter((each) => each.faults.length === 1 && holds(each, fault));

/** The motion faults that a hypothesis puts into the chain; of two at one joint the first found. */
export function jointFaults(hypothesis: Hypothesis): { joint: string; mode: FaultMode }[] {
  const list = presentIn(hypothesis).flatMap(({ fault, mode }) => (mode ? [{ joint: fault.at, mode }] : []));
  return list.filter(({ joint }, i) => list.findIndex((each) => each.joint === joint) === i);
}

export interface PriorShift {
  readonly fault: string;
  readonly factor: number;
  /** The family's own words for what a fact does. */
  readonly why?: string;
  /** The complaint that did it. */
  readonly complaint?: string;
}

/**
 * Every hypothesis of a pack, "none of these" last: each fault in each of its ways, each two that can be
 * there at once, or, with faults found already, what else there may be.
 */
export function hypothesesOf(pack: Pack, found: readonly string[] = []): readonly Hypothesis[] {
  const besides = pack.faults.filter(({ id }) => found.includes(id)).map(usualWay);
  const others = pack.faults.filter(({ id }) => !found.includes(id));
  const singles = eachAlone(others, besides);
  // Outside of the chain besides what was found is "nothing else on this list".
  if (besides.length > 0) return [...withNothingElse(pack, singles, besides), ...unlistedIn(pack, besides)];
  return [...singles, ...pairsOf(pack), ...unlistedIn(pack), OUTSIDE, SOUND_MACHINE];
}

const OUTSIDE: Hypothesis = { id: 'outside', faults: [], share: 1, besides: [], none: 'outside' };

/** A machine without any fault: one of the three kinds, and what every find is held against. */
export const SOUND_MACHINE: Hypothesis = { id: SOUND, faults: [], share: 1, besides: [], none: 'sound' };

/** Each joint in each way of moving wrongly that no fault of the list has there. */
export const unlistedWays = ({ driveline, faults }: Pack): readonly { readonly joint: string; readonly mode: FaultMode }[] =>
  driveline.joints.flatMap(({ id: joint }) =>
    FAULT_MODES.filter((mode) => !faults.some(({ at, modes }) => at === joint && modes.some((each) => each.mode === mode))).map((mode) => ({
      joint,
      mode,
    })),
  );

/** In the chain and not listed: a hypothesis for each such way. */
function unlistedIn(pack: Pack, besides: readonly PresentFault[] = []): readonly Hypothesis[] {
  const ways = unlistedWays(pack);
  return ways.map(({ joint, mode }) => ({
    id: `unlisted/${joint}/${mode}`,
    faults: [],
    share: 1 / ways.length,
    none: 'unlisted' as const,
    place: joint,
    besides: [...besides, { fault: standIn(joint), mode, dead: [] }],
  }));
}

/** What is not listed at a joint, as the motion model takes a fault; no table names it. */
const standIn = (at: string): PresentFault['fault'] => ({ id: `unlisted/${at}`, at, prior: 0, modes: [] });

/** Each of these faults in each of its ways, with no other but what was found. */
export const eachAlone = (faults: readonly Fault[], besides: readonly PresentFault[] = []): readonly Hypothesis[] =>
  faults.flatMap((fault) => singlesOf(fault).map((each) => ({ ...each, besides })));

const singlesOf = (fault: Fault): Omit<Hypothesis, 'besides'>[] =>
  waysOf(fault).map(({ share, ...way }, i) => ({
    id: `${fault.id}/${i}`,
    faults: [{ fault, ...way }],
    share: fault.prior * share,
  }));

/** Share of people who say of a dead driver that it is dead, and not only that what they watch stands (judgement). */
const SAY_DEAD = 0.6;

type Way = Omit<PresentFault, 'fault'> & { readonly share: number };

/**
 * The ways in which a fault shows. Where it takes the driver's power, there are two of each: who watches
 * says so at every look, or says at none more than that the watched thing stands. So three looks by one
 * person at a dead motor are not three proofs of a broken gear.
 */
function waysOf({ modes }: Fault): readonly Way[] {
  if (modes.length === 0) return [{ share: 1, dead: [] }];
  return modes.flatMap((mode): Way[] =>
    mode.dead.length === 0
      ? [mode]
      : [
          { ...mode, told: true, share: mode.share * SAY_DEAD },
          { ...mode, told: false, share: mode.share * (1 - SAY_DEAD) },
        ],
  );
}

/** A found fault in the way in which it shows most often. */
function usualWay(fault: Fault): PresentFault {
  const [usual] = [...waysOf(fault)].sort((p, q) => q.share - p.share);
  return { fault, mode: usual?.mode, dead: usual?.dead ?? [], told: usual?.told };
}

/** What else there may be, each by its chance once the first is there. */
function withNothingElse(pack: Pack, singles: readonly Hypothesis[], besides: readonly PresentFault[]): Hypothesis[] {
  const more = singles.map((single) => {
    const [{ fault } = {}] = single.faults;
    const chances = besides.map((first) => (fault ? chanceOfSecond(pack, first.fault, fault) : 0));
    return { ...single, share: (single.share / (fault?.prior ?? 1)) * Math.max(...chances) };
  });
  const second = more.reduce((sum, { share }) => sum + share, 0);
  // However much two found faults may bring about, that there is no other stays as likely as not.
  return [...more, { id: NOTHING_ELSE, faults: [], share: Math.max(1 - second, second), besides }];
}

/** Chance that the second is in a machine that has the first. */
function chanceOfSecond(pack: Pack, first: PresentFault['fault'], second: PresentFault['fault']): number {
  const said = pack.together.filter(({ faults }) => faults.includes(first.id) && faults.includes(second.id));
  if (said.some(({ share }) => share === 0)) return 0;
  const total = pack.faults.reduce((sum, { prior }) => sum + prior, 0);
  // One joint cannot show two ways of motion at once, unless the pack says that both happen.
  const clash = said.length === 0 && first.at === second.at && first.modes.length > 0 && second.modes.length > 0;
  if (clash) return 0;
  const brought = said.filter(({ faults }) => faults[0] === first.id).map(({ share }) => share);
  const bringing = said
    .filter(({ faults }) => faults[0] === second.id)
    .map(({ share }) => Math.min(1, (share * second.prior) / first.prior));
  return Math.max((SECOND_FAULT_PRIOR * second.prior) / total, ...brought, ...bringing);
}

function pairsOf(pack: Pack): Hypothesis[] {
  const pairs = pack.faults
    .flatMap((first, i) => pack.faults.slice(i + 1).flatMap((second) => pairWays(pack, first, second)))
    .sort((p, q) => q.share - p.share);
  // Those as likely as the last one kept stay too: a pair and its like on the other side go together.
  const least = (pairs[MOST_PAIRS - 1]?.share ?? 0) * (1 - 1e-9);
  return pairs.filter(({ share }) => share >= least);
}

function pairWays(pack: Pack, first: Fault, second: Fault): Hypothesis[] {
  const weight = first.prior * chanceOfSecond(pack, first, second);
  if (weight === 0) return [];
  return singlesOf(first).flatMap((one) =>
    singlesOf(second).map((other) => ({
      id: `${one.id}+${other.id}`,
      faults: [...one.faults, ...other.faults],
      share: (weight * one.share * other.share) / (first.prior * second.prior),
      besides: [],
    })),
  );
}

/** Priors over the hypotheses, moved by the facts and the complaints. Deterministic; sums to 1. */
export function priorOf(pack: Pack, told: CaseFacts, hypotheses: readonly Hypothesis[]): Belief {
  const said = saidOf(pack, told);
  const factors = new Map(
    pack.faults.map((fault) => [fault.id, factShifts(fault, told).reduce((product, { factor }) => product * factor, 1)]),
  );
  const chances = said.map((each) => new Map(pack.faults.map(({ id }) => [id, complaintFactor(pack, each, id)])));
  const weights: Record<string, number> = {};
  for (const hypothesis of hypotheses) {
    const shifted = hypothesis.faults.reduce((product, { fault }) => product * (factors.get(fault.id) ?? 1), hypothesis.share);
    weights[hypothesis.id] = shifted * complainedOf(chances, presentIn(hypothesis));
  }
  const listed = hypotheses.reduce((sum, each) => sum + (each.none ? 0 : (weights[each.id] ?? 0)), 0);
  const kinds = new Set(hypotheses.flatMap(({ none }) => none ?? []));
  const unlisted = [...kinds].reduce((sum, kind) => sum + NONE_PRIORS[kind], 0);
  for (const { id, none, share } of hypotheses) if (none) weights[id] = (share * NONE_PRIORS[none] * listed) / (1 - unlisted);
  return normalise(weights);
}

/** What the facts did to the priors, for people to read. */
export function shiftsOf(pack: Pack, told: CaseFacts): readonly PriorShift[] {
  const said = saidOf(pack, told);
  return pack.faults.flatMap((fault) => {
    const spoken = said
      .map((each) => ({ factor: complaintFactor(pack, each, fault.id), complaint: each.id }))
      .filter(({ factor }) => Math.abs(factor - 1) > 0.05);
    return [...spoken, ...factShifts(fault, told).map(({ factor, why }) => ({ factor, why }))].map((shift) => ({
      fault: fault.id,
      ...shift,
    }));
  });
}

/** The complaint of nobody: it came up at a service. */
export const AT_SERVICE = 'at-service';

/** The fact that holds which of the family's complaints the owner made. */
export const COMPLAINT_FACT = 'complaint';

/** What is known before any look: facts, and what the owner says. */
export interface CaseFacts {
  readonly facts?: Facts;
  readonly complaints?: readonly string[];
}

/** The complaints that were made, each once; one may stand among the facts. */
export const saidOf = (pack: Pack, { facts = {}, complaints = [] }: CaseFacts): readonly Complaint[] =>
  pack.complaints.filter(({ id }) => id === facts[COMPLAINT_FACT] || complaints.includes(id));

/**
 * By how much the complaints move what is present. One is made of one of the faults: what the first explains is not counted
 * again for the second. Of several each is made of the fault that brings it oftenest.
 */
function complainedOf(chances: readonly ReadonlyMap<string, number>[], present: readonly PresentFault[]): number {
  if (present.length === 0) return 1;
  const each = chances.map((factors) => present.map(({ fault }) => factors.get(fault.id) ?? 1));
  const [only] = each;
  if (only && each.length === 1) return only.reduce((sum, factor) => sum + factor, 0) / only.length;
  return each.reduce((product, factors) => product * Math.max(...factors), 1);
}

/** Chance that an owner whose machine has this fault makes this complaint and not another of the family's. */
export function complaintChance(pack: Pack, said: Complaint, fault: string): number {
  const weight = ({ points }: Complaint) => points.find((each) => each.fault === fault)?.factor ?? 1;
  return weight(said) / pack.complaints.reduce((sum, each) => sum + weight(each), 0);
}

/** By how much the complaint moves a fault against one of which owners make any complaint as often. */
const complaintFactor = (pack: Pack, said: Complaint, fault: string): number => complaintChance(pack, said, fault) * pack.complaints.length;

function factShifts(fault: Fault, { facts = {} }: CaseFacts) {
  return fault.shifts.filter(({ fact, is, atLeast }) => {
    const value = own(facts, fact);
    if (value === undefined) return false;
    if (atLeast !== undefined) return typeof value === 'number' && value >= atLeast;
    return is === undefined ? value === true : value === is;
  });
}

/**
 * Belief over hypotheses → the chance of each fault, of "nothing else" and of "none of these". A fault's
 * chance counts every hypothesis that holds it, so that with two at once they add up to more than 1.
 */
export function byFault(hypotheses: readonly Hypothesis[], belief: Belief): Belief {
  const sums: Record<string, number> = {};
  for (const hypothesis of hypotheses) {
    for (const key of keysOf(hypothesis)) sums[key] = (sums[key] ?? 0) + (belief[hypothesis.id] ?? 0);
  }
  return sums;
}
