import type { Pack } from '@patient-badger/core';

/** Whether the app can measure and match this gear: worms, so far. */
export const hasCard = (pack: Pack, gear: string | undefined): boolean => pack.gears.some(({ id, type }) => id === gear && type === 'worm');
