import { normalise, type Belief } from '../inference/belief.ts';
import type { FaultMode } from '../driveline/schema.ts';
import type { Fault, Pack } from './pack.ts';

/** What is known about the machine before any look: hours, age, opened before, stored outdoors … */
export type Facts = Readonly<Record<string, number | boolean | string>>;

/** The id of "none of these": something the list does not hold. */
export const NONE_OF_THESE = 'none-of-these';
/** Chance, before any look, that the pack does not hold the fault at all (judgement). */
export const NONE_PRIOR = 0.03;

/** One way in which one fault shows in the motion. A fault with two ways is two hypotheses, reported as one. */
export interface Hypothesis {
  readonly id: string;
  readonly fault: Fault | null;
  readonly mode?: FaultMode;
}

export interface Shifted {
  readonly fault: string;
  readonly factor: number;
  readonly why: string;
}

/** Every hypothesis of a pack, "none of these" last. */
export function hypothesesOf(pack: Pack): readonly Hypothesis[] {
  const list = pack.faults.flatMap((fault) => {
    const modes = fault.modes.length > 0 ? fault.modes : [{ mode: undefined, share: 1 }];
    return modes.map(({ mode }, i) => ({ id: `${fault.id}/${i}`, fault, mode }));
  });
  return [...list, { id: NONE_OF_THESE, fault: null }];
}

/** Priors over the hypotheses, moved by the facts. Deterministic; sums to 1. */
export function priorOf(pack: Pack, facts: Facts): Belief {
  const weights: Record<string, number> = {};
  for (const fault of pack.faults) {
    const factor = shiftsThatApply(fault, facts).reduce((product, { factor }) => product * factor, 1);
    const modes = fault.modes.length > 0 ? fault.modes : [{ share: 1 }];
    modes.forEach(({ share }, i) => (weights[`${fault.id}/${i}`] = fault.prior * factor * share));
  }
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  weights[NONE_OF_THESE] = (total * NONE_PRIOR) / (1 - NONE_PRIOR);
  return normalise(weights);
}

/** What the facts did to the priors, for people to read. */
export function shiftsOf(pack: Pack, facts: Facts): readonly Shifted[] {
  return pack.faults.flatMap((fault) => shiftsThatApply(fault, facts).map(({ factor, why }) => ({ fault: fault.id, factor, why })));
}

function shiftsThatApply(fault: Fault, facts: Facts) {
  return fault.shifts.filter(({ fact, is, atLeast }) => {
    const value = facts[fact];
    if (value === undefined) return false;
    if (atLeast !== undefined) return typeof value === 'number' && value >= atLeast;
    return is === undefined ? value === true : value === is;
  });
}

/** Belief over hypotheses → belief over faults (and "none of these"). */
export function byFault(hypotheses: readonly Hypothesis[], belief: Belief): Belief {
  const sums: Record<string, number> = {};
  for (const { id, fault } of hypotheses) {
    const key = fault?.id ?? NONE_OF_THESE;
    sums[key] = (sums[key] ?? 0) + (belief[id] ?? 0);
  }
  return sums;
}
