import { fail } from '../failure/CoreFailure.ts';
import { reachOf } from '../access/state.ts';
import type { Pack } from './pack.ts';
import { lookWants, wantedBy } from './wanted.ts';

/**
 * Refuses states that do not meet: one that is not there, a look whose own steps end what it needs, a look
 * whose caution forbids what it needs.
 * @throws CoreFailure naming the field at fault
 */
export function checkStates(pack: Pack): void {
  const states = new Set(pack.states.map(({ id }) => id));
  const bodies = new Set(pack.driveline.bodies.map(({ id }) => id));
  const need = (known: ReadonlySet<string>, list: readonly string[], path: string) =>
    list.forEach((given, i) => {
      if (!known.has(given)) throw fail('unknownId', `${path}.${i}`, { given, known: [...known].join(', ') });
    });
  pack.states.forEach(({ id, powers }, i) => {
    if (pack.states.findIndex((each) => each.id === id) !== i) throw fail('duplicateId', `states.${i}.id`, { given: id });
    need(bodies, powers, `states.${i}.powers`);
  });
  pack.steps.forEach(({ takes, gives }, i) => {
    need(states, takes, `steps.${i}.takes`);
    need(states, gives, `steps.${i}.gives`);
  });
  pack.cautions.forEach(({ without }, i) => need(states, without, `cautions.${i}.without`));
  const reach = reachOf(pack);
  pack.steps.forEach(({ id, gives }, i) =>
    gives.forEach((state, j) => {
      const unclear = pack.steps.find((each) => each.takes.includes(state) && !reach.ordered(each.id, id));
      if (unclear) throw fail('contradiction', `steps.${i}.gives.${j}`, { reason: 'givenBackUnclear', id, given: unclear.id, state });
    }),
  );
  pack.looks.forEach((look, i) => {
    need(states, look.while, `looks.${i}.while`);
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
