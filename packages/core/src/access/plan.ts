import { longest, stepsNamed, type ClosingStep, type Step, type WhileOpen } from './step.ts';
import { openingTo, stepsThatFree } from './opening.ts';
import { reassembly } from './reassembly.ts';

interface Family {
  readonly steps: readonly Step[];
  readonly closing: readonly ClosingStep[];
  readonly whileOpen: readonly WhileOpen[];
}

/** What the plan is to reach: places of the chain, or steps a look needs. */
export interface Aim {
  readonly places?: readonly string[];
  readonly steps?: readonly string[];
}

export interface AccessPlan {
  readonly steps: readonly Step[];
  readonly minutes: number;
  /** Stuck screws and all. */
  readonly atWorst: number;
  /** Everything to lay out, each once. */
  readonly tools: readonly string[];
  /** Steps of the plan that want two people. */
  readonly helperFor: readonly Step[];
  /** What comes within reach with this opening, and is worth doing since it lies open. */
  readonly whileOpen: readonly WhileOpen[];
  /** Minutes of the way back from everything open after the plan. */
  readonly minutesBack: number;
}

export interface AccessPlanOptions {
  readonly opened: readonly string[];
  readonly stuck?: readonly string[] | undefined;
}

/**
 * The plan to reach something from what is open already; null where a step that is stuck bars every way.
 */
export function accessPlan(family: Family, aim: Aim, { opened, stuck = [] }: AccessPlanOptions): AccessPlan | null {
  const done = new Set(opened);
  const blocked = new Set(stuck);
  const opening = openingTo(family, aim.places ?? [], { done, blocked, besides: aim.steps });
  if (!opening) return null;
  const steps = stepsNamed(family.steps, opening.steps);
  const after = [...opened, ...steps.map(({ id }) => id)];
  const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
  return {
    steps,
    minutes: sum(steps.map(({ minutes }) => minutes)),
    atWorst: sum(steps.map(longest)),
    tools: [...new Set(steps.flatMap(({ tools }) => tools))],
    helperFor: steps.filter(({ helper }) => helper),
    whileOpen: inReach(family, after),
    minutesBack: sum(reassembly(family, after).map(({ minutes }) => minutes)),
  };
}

/** What is worth doing with these steps done: at places that one of them freed. */
export const inReach = (family: Family, opened: readonly string[]): readonly WhileOpen[] =>
  family.whileOpen.filter(({ at }) => stepsThatFree(family, at).some((id) => opened.includes(id)));
