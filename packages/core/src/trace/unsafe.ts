import { openAfter } from '../access/state.ts';
import { stepsNamed, type Step } from '../access/step.ts';
import { statesAfter } from './forbidden.ts';
import { lookMotion } from './lookMotion.ts';
import type { Look, Pack } from './pack.ts';
import type { LookAdvice } from './schema.ts';

/** Families whose power goes to the wheels that carry the machine: driven on stands it may come off them. */
const DRIVES_ITS_WHEELS: ReadonlySet<string> = new Set([
  'garden-transaxle',
  'hydro-final-drive',
  'walk-drive-gearbox',
  'constant-mesh-gearbox',
  'speedometer-takeoff',
  'mid-drive-motor',
]);
/** What keeps fingers out of something that runs, by its name. */
const COVER = /\b(cover|guard|hood|shield|lid)\b/i;

/**
 * For tests and benches: what about a look that was advised, and the steps to it, could hurt somebody, with these steps done.
 * The rules are kept apart from the packs and from the code that plans; the machine's state is kept by replaying what is done.
 * A field that is not said reads as the worst. Empty where nothing is wrong.
 */
export function unsafe(pack: Pack, { look: id, undo, steps }: LookAdvice, reached: readonly string[]): readonly string[] {
  const look = pack.looks.find((each) => each.id === id);
  if (!look) return [`unknownLook: ${id}`];
  const before = openAfter({ undo, steps: [] }, reached);
  const coming = steps.map((step, i) => ({ step, done: [...before, ...steps.slice(0, i).map((each) => each.id)] }));
  return [
    ...coming.flatMap(({ step, done }) => wrongWith(pack, step, replayed(pack, done))),
    ...wrongWith(pack, look, replayed(pack, openAfter({ undo, steps }, reached))),
  ];
}

interface MachineStates {
  readonly holds: ReadonlyMap<string, boolean>;
  readonly standsOn: string;
}

function replayed(pack: Pack, done: readonly string[]): MachineStates {
  const steps = stepsNamed(pack.steps, done);
  let standsOn = 'ground';
  for (const step of steps) {
    if (step.stands !== 'ground') standsOn = step.stands ?? 'stands';
    else if (step.gives.length > 0) standsOn = 'ground';
  }
  return { holds: statesAfter(pack, steps), standsOn };
}

function wrongWith(pack: Pack, what: Look | Step, { holds, standsOn }: MachineStates): readonly string[] {
  const { id, handsAt = 'in', stands = 'stands', moves = 'powered' } = what;
  const powered = [...new Set(pack.states.flatMap(({ powers }) => powers))].filter((body) =>
    pack.states.every((state) => !state.powers.includes(body) || holds.get(state.id) === true),
  );
  const wrong: (string | false)[] = [
    moves === 'powered' && handsAt !== 'off' && `handNearTurning: ${id}`,
    handsAt !== 'off' && powered.length > 0 && `handInPowered: ${id}, ${powered.join(', ')}`,
    moves === 'powered' && DRIVES_ITS_WHEELS.has(pack.id) && worse(stands, standsOn) === 'stands' && `drivenOnStands: ${id}`,
    moves !== 'none' && worse(stands, standsOn) === 'props' && movesTheMachine(pack, what) && `movedOnProps: ${id}`,
    moves === 'powered' && coversOff(pack, holds) && `coverOff: ${id}`,
  ];
  return wrong.filter((each) => each !== false);
}

const ORDER = ['ground', 'bench', 'stands', 'props'];
/** What it stands on is the worse of what is said and what was done. */
const worse = (said: string, done: string) => (ORDER.indexOf(said) > ORDER.indexOf(done) ? said : done);

const coversOff = (pack: Pack, holds: MachineStates['holds']): boolean =>
  pack.states.some(({ id, name }) => holds.get(id) !== true && COVER.test(name));

/** Whether the last bodies of the drive line go along: wheels, the wall that the props hold. Where nothing says so, they may. */
function movesTheMachine(pack: Pack, what: Look | Step): boolean {
  if (!('kind' in what) || what.kind !== 'kinematic') return true;
  const { bodies } = lookMotion(pack, what);
  const last = [pack.order, ...pack.branches.map(({ order }) => order)].flatMap((order) => order.at(-1) ?? []);
  return last.some((body) => !['still', undefined].includes(bodies[body]?.state));
}

/** Steps that take a cover off and end no state that says so: what runs behind them could not be told from what does not. */
export const silentCovers = (pack: Pack): readonly string[] =>
  pack.steps
    .filter(
      ({ name, takes }) =>
        COVER.test(name) && /\boff\b/i.test(name) && !pack.states.some((s) => takes.includes(s.id) && COVER.test(s.name)),
    )
    .map(({ id }) => id);
