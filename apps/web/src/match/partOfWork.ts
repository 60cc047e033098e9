import type { Pack } from '@patient-badger/core/machine';

/** A part of a remedy by its name, and the card of the gear where it is one; no name where the family gives it none. */
export function partOfWork({ gears }: Pick<Pack, 'gears'>, { gear: body, item }: { gear?: string | undefined; item?: string | undefined }) {
  const card = gears.find((each) => each.body === body);
  return { name: card?.name ?? item, gear: card?.id };
}
