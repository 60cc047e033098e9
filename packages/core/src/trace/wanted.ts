import { endedBy, reachOf, type Requirements } from '../access/state.ts';
import type { Look, Pack } from './pack.ts';

/** States that must hold for a look: those it names, and under own power those by which what it drives has its power. */
export const wantedBy = ({ states }: Pick<Pack, 'states'>, look: Look): readonly string[] => [
  ...new Set([
    ...look.while,
    ...(look.kind === 'kinematic' && look.power === 'own'
      ? states.filter(({ powers }) => powers.includes(look.drive.body)).map(({ id }) => id)
      : []),
  ]),
];

/** What must be done, what must hold, and what must be cut off, before a look can be taken. */
export const lookWants = (pack: Pick<Pack, 'states' | 'steps'>, look: Look): Requirements => ({
  needs: look.needs,
  while: wantedBy(pack, look),
  cutOff: [
    ...(look.handsAt === 'near' || look.handsAt === 'in' ? powerOf(pack) : []),
    ...endedBy(pack, look.stands).map((state) => [state]),
  ],
});

/** For each body with power of its own, the states by which it has it. */
const powerOf = ({ states }: Pick<Pack, 'states'>): readonly (readonly string[])[] =>
  [...new Set(states.flatMap(({ powers }) => powers))].map((body) =>
    states.filter(({ powers }) => powers.includes(body)).map(({ id }) => id),
  );

/** States that a look needs and that do not hold with these steps open. */
export function statesLacking(pack: Pack, look: Look, open: Iterable<string>): readonly string[] {
  const reach = reachOf(pack);
  const done = reach.maskOf(open);
  return wantedBy(pack, look).filter((state) => !reach.holds(state, done));
}
