import { fail } from '../failure/CoreFailure.ts';
import { reachOf } from '../access/state.ts';
import { idsOf, need, unique } from './names.ts';
import type { Pack } from './pack.ts';
import { lookWants, wantedBy } from './wanted.ts';

/**
 * Refuses states that do not meet: one that is not there, a look whose own steps end what it needs, a look
 * whose caution forbids what it needs.
 * @throws CoreFailure naming the field at fault
 */
export function checkStates(pack: Pack): void {
  const states = unique(pack.states, 'states');
  const bodies = idsOf(pack.driveline.bodies);
  const needAll = (known: ReadonlySet<string>, list: readonly string[], path: string) =>
    list.forEach((given, i) => need(known, given, `${path}.${i}`));
  pack.states.forEach(({ powers }, i) => needAll(bodies, powers, `states.${i}.powers`));
  pack.steps.forEach(({ takes, gives }, i) => {
    needAll(states, takes, `steps.${i}.takes`);
    needAll(states, gives, `steps.${i}.gives`);
  });
  pack.cautions.forEach(({ without }, i) => needAll(states, without, `cautions.${i}.without`));
  const reach = reachOf(pack);
  pack.steps.forEach(({ id, gives }, i) =>
    gives.forEach((state, j) => {
      const unclear = pack.steps.find((each) => each.takes.includes(state) && !reach.ordered(each.id, id));
      if (unclear) throw fail('contradiction', `steps.${i}.gives.${j}`, { reason: 'givenBackUnclear', id, given: unclear.id, state });
    }),
  );
  pack.looks.forEach((look, i) => {
    needAll(states, look.while, `looks.${i}.while`);
    needAll(states, look.takes, `looks.${i}.takes`);
    const wanted = wantedBy(pack, look);
    look.cautions.forEach((id, j) => {
      const state = pack.cautions.find((each) => each.id === id)?.without.find((each) => wanted.includes(each));
      if (state) throw fail('contradiction', `looks.${i}.cautions.${j}`, { reason: 'cautionForbids', id: look.id, given: id, state });
    });
    if (reach.waysTo(lookWants(pack, look)).length === 0) {
      throw fail('contradiction', `looks.${i}.needs`, { reason: 'needsWhatItEnds', id: look.id, state: wanted.join(', ') });
    }
  });
}
