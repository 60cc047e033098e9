import type { Step } from './step.ts';

/** What of a family the planner needs. */
type Steps = { readonly steps: readonly Step[] };

/** A step as the planner sees it. */
export interface PlanStep {
  readonly id: string;
  readonly minutes: number;
  /** Every one of these must be done before. */
  readonly needs: readonly string[];
  /** And all steps of one of these ways, where there are ways. */
  readonly ways?: readonly (readonly string[])[];
}

export interface Opening {
  /** Ids of the steps, each after what it needs. */
  readonly steps: readonly string[];
  readonly minutes: number;
}

export interface ShortestOpeningOptions {
  readonly done?: ReadonlySet<string> | undefined;
  readonly blocked?: ReadonlySet<string> | undefined;
}

/**
 * The shortest opening by which all wanted steps are done, given what is done already: exact, by
 * branch and bound over the ways where there is a choice. Steps that are `blocked` (a screw that will
 * not come) are gone round where another way leads there. Null where none does. Without a choice it is
 * one walk over the graph; each choice multiplies the work by its ways, of which a machine has few.
 *
 * The graph has no circles (`checkPack` refuses them), counting every way.
 */
export function shortestOpening(
  steps: readonly PlanStep[],
  wanted: readonly string[],
  { done = new Set(), blocked = new Set() }: ShortestOpeningOptions = {},
): Opening | null {
  const byId = new Map(steps.map((step) => [step.id, step]));
  let best: { readonly chosen: ReadonlySet<string>; readonly minutes: number } | null = null;

  const search = (chosen: ReadonlySet<string>, minutes: number): void => {
    if (best && minutes >= best.minutes) return;
    const open = firstOpenChoice(byId, chosen, done);
    if (!open) {
      best = { chosen, minutes };
      return;
    }
    for (const way of open) {
      const more = take(byId, way, chosen, done, blocked);
      if (more) search(more.chosen, minutes + more.minutes);
    }
  };

  const first = take(byId, wanted, new Set(), done, blocked);
  if (first) search(first.chosen, first.minutes);
  const found = best as { readonly chosen: ReadonlySet<string>; readonly minutes: number } | null;
  return found && { steps: inOrder(steps, found.chosen), minutes: found.minutes };
}

/** Every way in which the wanted steps can be done from a closed machine, each as the set of its steps. */
export function waysToReach(steps: readonly PlanStep[], wanted: readonly string[]): readonly ReadonlySet<string>[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const none = new Set<string>();
  const follow = (chosen: ReadonlySet<string>): ReadonlySet<string>[] => {
    const open = firstOpenChoice(byId, chosen, none);
    if (!open) return [chosen];
    return open.flatMap((way) => {
      const more = take(byId, way, chosen, none, none);
      return more ? follow(more.chosen) : [];
    });
  };
  const first = take(byId, wanted, none, none, none);
  return first ? follow(first.chosen) : [];
}

/** The steps and all they need without a choice, added to what was chosen; null where one is blocked. */
function take(
  byId: ReadonlyMap<string, PlanStep>,
  ids: readonly string[],
  chosen: ReadonlySet<string>,
  done: ReadonlySet<string>,
  blocked: ReadonlySet<string>,
): { chosen: ReadonlySet<string>; minutes: number } | null {
  const all = new Set(chosen);
  let minutes = 0;
  const visit = (id: string): boolean => {
    if (done.has(id) || all.has(id)) return true;
    const step = byId.get(id);
    if (!step || blocked.has(id)) return false;
    all.add(id);
    minutes += step.minutes;
    return step.needs.every(visit);
  };
  return ids.every(visit) ? { chosen: all, minutes } : null;
}

/** The ways of the first chosen step none of whose ways is taken yet. */
function firstOpenChoice(
  byId: ReadonlyMap<string, PlanStep>,
  chosen: ReadonlySet<string>,
  done: ReadonlySet<string>,
): readonly (readonly string[])[] | null {
  for (const id of chosen) {
    const ways = byId.get(id)?.ways ?? [];
    if (ways.length > 0 && !ways.some((way) => way.every((each) => done.has(each) || chosen.has(each)))) return ways;
  }
  return null;
}

/** The chosen steps, each after those of them that it needs, in the order of the graph otherwise. */
export function inOrder(steps: readonly PlanStep[], chosen: ReadonlySet<string>): readonly string[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const list: string[] = [];
  const visit = (id: string): void => {
    if (!chosen.has(id) || list.includes(id)) return;
    const step = byId.get(id);
    step?.needs.forEach(visit);
    // Of a way that is half done already, the other half still comes before.
    step?.ways?.flat().forEach(visit);
    list.push(id);
  };
  for (const id of byId.keys()) visit(id);
  return list;
}

export interface StepsToReachOptions {
  readonly reached: ReadonlySet<string>;
  readonly blocked?: ReadonlySet<string> | undefined;
}

/** The steps still to do before these can be done, by the shortest way. Empty where no way is left. */
export function stepsToReach(
  pack: Steps,
  needs: readonly string[],
  { reached, blocked = new Set() }: StepsToReachOptions,
): readonly Step[] {
  const known = new Map(pack.steps.map((step) => [step.id, step]));
  const opening = shortestOpening(
    pack.steps,
    needs.filter((id) => known.has(id)),
    { done: reached, blocked },
  );
  return (opening?.steps ?? []).map((id) => known.get(id) as Step);
}

/** Steps by which each place comes within reach; a place that no step frees lies open from the start. */
export const stepsThatFree = ({ steps }: Steps, place: string): readonly string[] =>
  steps.filter(({ frees }) => frees.includes(place)).map(({ id }) => id);
export interface OpeningToOptions {
  readonly done?: ReadonlySet<string> | undefined;
  readonly blocked?: ReadonlySet<string> | undefined;
  readonly besides?: readonly string[] | undefined;
}

/**
 * The shortest opening after which all the places lie within reach, and these steps besides are done. A place freed by several steps is
 * reached by any of them. Null where a blocked step stands before one of them and no way leads round.
 */
export function openingTo(
  pack: Steps,
  places: readonly string[],
  { done = new Set(), blocked = new Set(), besides = [] }: OpeningToOptions = {},
): Opening | null {
  const goals = places.flatMap((place): PlanStep[] => {
    const by = stepsThatFree(pack, place);
    return by.length === 0 ? [] : [{ id: `to ${place}`, minutes: 0, needs: [], ways: by.map((id) => [id]) }];
  });
  const opening = shortestOpening([...pack.steps, ...goals], [...goals.map(({ id }) => id), ...besides], { done, blocked });
  return opening && { ...opening, steps: opening.steps.filter((id) => !goals.some((goal) => goal.id === id)) };
}
