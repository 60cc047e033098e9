import type { Pack, Step } from './pack.ts';

/** Steps still to do before these can be done, each after what it needs, in the pack's order. */
export function stepsToReach(pack: Pack, needs: readonly string[], reached: ReadonlySet<string>): readonly Step[] {
  const byId = new Map(pack.steps.map((step) => [step.id, step]));
  const list: Step[] = [];
  const visit = (id: string): void => {
    const step = byId.get(id);
    if (!step || reached.has(id) || list.includes(step)) return;
    step.needs.forEach(visit);
    list.push(step);
  };
  needs.forEach(visit);
  return list;
}

/** Cautions of a look and of the steps on the way to it, each once. */
export function cautionsOn(pack: Pack, own: readonly string[], steps: readonly Step[]): Pack['cautions'] {
  const wanted = new Set([...steps.flatMap(({ cautions }) => cautions), ...own]);
  return pack.cautions.filter(({ id }) => wanted.has(id));
}
