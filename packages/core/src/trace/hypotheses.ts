import { normalise, type Belief } from '../inference/belief.ts';
import type { FaultMode } from '../driveline/schema.ts';
import type { Complaint, Fault, Pack } from './pack.ts';
import { own } from '../operation/own.ts';

/** What is known about the machine before any look: hours, age, opened before, stored outdoors … */
export type Facts = Readonly<Record<string, number | boolean | string>>;

/** The id of "none of these": something the list does not hold. */
export const NONE_OF_THESE = 'none-of-these';
/** Chance, before any look, that the pack does not hold the fault at all (judgement). */
export const NONE_PRIOR = 0.03;

/** The id of "nothing else": besides what was found already, the machine is sound. */
export const NOTHING_ELSE = 'nothing-else';
/** Chance that a machine with one fault found has a second (judgement: one gear's debris is the next one's trouble). */
const SECOND_FAULT_PRIOR = 0.25;

/** One way in which one fault shows in the motion. A fault with two ways is two hypotheses, reported as one. */
export interface Hypothesis {
  readonly id: string;
  /** Null for "none of these" and for "nothing else". */
  readonly fault: Fault | null;
  readonly mode?: FaultMode | undefined;
  /** Faults found already, which are in the machine whatever else is. */
  readonly besides?: readonly Fault[];
}

/** What a hypothesis counts for when faults are weighed: its fault, "nothing else", or "none of these". */
export const faultKey = ({ id, fault }: Hypothesis): string => fault?.id ?? id;

/** The motion faults that a hypothesis puts into the chain; a found fault in the way it shows most often. */
export function jointFaults({ fault, mode, besides = [] }: Hypothesis): { joint: string; mode: FaultMode }[] {
  const found = besides.flatMap(({ at, modes }) => {
    const [usual] = [...modes].sort((p, q) => q.share - p.share);
    return usual?.mode ? [{ joint: at, mode: usual.mode }] : [];
  });
  return fault && mode ? [...found, { joint: fault.at, mode }] : found;
}

export interface Shifted {
  readonly fault: string;
  readonly factor: number;
  readonly why: string;
}

/** Every hypothesis of a pack, "none of these" last; with faults found already, what else there may be. */
export function hypothesesOf(pack: Pack, found: readonly string[] = []): readonly Hypothesis[] {
  const besides = pack.faults.filter(({ id }) => found.includes(id));
  const more = besides.length > 0 ? { besides } : {};
  const list = others(pack, found).flatMap((fault) =>
    waysOf(fault).map(({ mode }, i): Hypothesis => ({ id: `${fault.id}/${i}`, fault, mode, ...more })),
  );
  const nothingElse: Hypothesis[] = besides.length > 0 ? [{ id: NOTHING_ELSE, fault: null, besides }] : [];
  return [...list, ...nothingElse, { id: NONE_OF_THESE, fault: null }];
}

/** Priors over the hypotheses, moved by the facts. Deterministic; sums to 1. */
export function priorOf(pack: Pack, facts: Facts, found: readonly string[] = []): Belief {
  const weights: Record<string, number> = {};
  for (const fault of others(pack, found)) {
    const factor = shiftsThatApply(pack, fault, facts).reduce((product, { factor }) => product * factor, 1);
    waysOf(fault).forEach(({ share }, i) => (weights[`${fault.id}/${i}`] = fault.prior * factor * share));
  }
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  if (found.length > 0) weights[NOTHING_ELSE] = (total * (1 - SECOND_FAULT_PRIOR)) / SECOND_FAULT_PRIOR;
  const listed = total + (weights[NOTHING_ELSE] ?? 0);
  weights[NONE_OF_THESE] = (listed * NONE_PRIOR) / (1 - NONE_PRIOR);
  return normalise(weights);
}

const others = (pack: Pack, found: readonly string[]) => pack.faults.filter(({ id }) => !found.includes(id));
const waysOf = ({ modes }: Fault): readonly { readonly mode?: FaultMode | undefined; readonly share: number }[] =>
  modes.length > 0 ? modes : [{ share: 1 }];

/** What the facts did to the priors, for people to read. */
export function shiftsOf(pack: Pack, facts: Facts): readonly Shifted[] {
  return pack.faults.flatMap((fault) => shiftsThatApply(pack, fault, facts).map(({ factor, why }) => ({ fault: fault.id, factor, why })));
}

/** The fact that holds which of the family's complaints the owner made. */
export const COMPLAINT_FACT = 'complaint';

function shiftsThatApply(pack: Pack, fault: Fault, facts: Facts): readonly Omit<Shifted, 'fault'>[] {
  const said = pack.complaints.find(({ id }) => id === facts[COMPLAINT_FACT]);
  const factor = said ? complaintChance(pack, said, fault.id) * pack.complaints.length : 1;
  const spoken = said && Math.abs(factor - 1) > 0.05 ? [{ factor, why: `the owner says “${said.says[0]}”` }] : [];
  return [...spoken, ...factShifts(fault, facts)];
}

/** Chance that an owner whose machine has this fault makes this complaint and not another of the family's. */
export function complaintChance(pack: Pack, said: Complaint, fault: string): number {
  const weight = ({ points }: Complaint) => points.find((each) => each.fault === fault)?.factor ?? 1;
  return weight(said) / pack.complaints.reduce((sum, each) => sum + weight(each), 0);
}

function factShifts(fault: Fault, facts: Facts) {
  return fault.shifts.filter(({ fact, is, atLeast }) => {
    const value = own(facts, fact);
    if (value === undefined) return false;
    if (atLeast !== undefined) return typeof value === 'number' && value >= atLeast;
    return is === undefined ? value === true : value === is;
  });
}

/** Belief over hypotheses → belief over faults, "nothing else" and "none of these". */
export function byFault(hypotheses: readonly Hypothesis[], belief: Belief): Belief {
  const sums: Record<string, number> = {};
  for (const hypothesis of hypotheses) {
    const key = faultKey(hypothesis);
    sums[key] = (sums[key] ?? 0) + (belief[hypothesis.id] ?? 0);
  }
  return sums;
}
