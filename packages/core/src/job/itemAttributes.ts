import { combined, countOf, given } from '../gear/readings.ts';
import { PLAIN_QUANTITIES } from '../match/plainParts.ts';
import type { PartAttributes } from '../match/schema.ts';
import type { Item } from './jobState.ts';

/** What an item was ordered as, as `match.receive` takes it; its kind always, its dimensions where they are known. */
export const orderedItem = ({ type, attributes }: Pick<Item, 'type' | 'attributes'>): PartAttributes => ({
  ...attributes,
  ...(type && { type }),
});

/** What was read off an item that came, as `match.receive` takes it. Whoever measures it sees what kind of part it is. */
export function arrivedItem({ type, readings }: Pick<Item, 'type' | 'readings'>): PartAttributes {
  const coils = countOf(readings.coils);
  const lengths = PLAIN_QUANTITIES.filter((quantity) => quantity !== 'coils').map((quantity) =>
    given(quantity, combined(readings[quantity])),
  );
  return Object.assign({}, type && { type }, ...lengths, coils !== undefined && { coils }) as PartAttributes;
}
