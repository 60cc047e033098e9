import type { Pack } from '@patient-badger/core';

/** Whether the app can find parts for this gear: worms, so far. */
export const findsParts = (pack: Pack, gear: string | undefined): boolean =>
  pack.gears.some(({ id, type }) => id === gear && type === 'worm');
