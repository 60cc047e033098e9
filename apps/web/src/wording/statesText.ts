import type { Pack } from '@patient-badger/core/machine';

/** States of a machine within a sentence. */
export const statesText = ({ states }: Pick<Pack, 'states'>, ids: readonly string[]): string =>
  states
    .filter(({ id }) => ids.includes(id))
    .map(({ name }) => name.toLowerCase())
    .join('; ');
