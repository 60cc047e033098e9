import { openAfter } from '../access/state.ts';
import { stepsNamed, type Step } from '../access/step.ts';
import type { LookAdvice } from './schema.ts';
import type { Pack } from './pack.ts';

/**
 * For tests and benches: what the state of the machine forbids about a look that was advised, with these
 * steps done in this order. The state is kept by replaying the steps, not by the code that plans. Empty
 * where nothing is forbidden.
 */
export function forbidden(pack: Pack, { look: id, undo, steps }: LookAdvice, reached: readonly string[]): readonly string[] {
  const done = openAfter({ undo, steps }, reached);
  const holds = statesAfter(pack, stepsNamed(pack.steps, done));
  const look = pack.looks.find((each) => each.id === id);
  if (!look) return [`unknownLook: ${id}`];
  const powered = look.kind === 'kinematic' && look.power === 'own' ? look.drive.body : undefined;
  const wanted = [
    ...look.while,
    ...pack.states.filter(({ powers }) => powered !== undefined && powers.includes(powered)).map((each) => each.id),
  ];
  const cautioned = look.cautions.flatMap((each) => pack.cautions.find((caution) => caution.id === each)?.without ?? []);
  return [
    ...wanted.filter((state) => holds.get(state) !== true).map((state) => `stateGone: ${id}, ${state}`),
    ...wanted.filter((state) => cautioned.includes(state)).map((state) => `cautionForbids: ${id}, ${state}`),
    ...look.needs.filter((step) => !done.includes(step)).map((step) => `stepNotDone: ${id}, ${step}`),
  ];
}

/** For tests and benches: whether each state holds after these steps in this order, each replayed. */
export function statesAfter({ states }: Pick<Pack, 'states'>, steps: readonly Step[]): ReadonlyMap<string, boolean> {
  const holds = new Map(states.map(({ id }) => [id, true]));
  for (const { takes, gives } of steps) {
    takes.forEach((each) => holds.set(each, false));
    gives.forEach((each) => holds.set(each, true));
  }
  return holds;
}
