import type { GearCard, Pack } from '@patient-badger/core';

const FOUND: readonly GearCard['type'][] = ['worm', 'wormWheel', 'spur', 'helical', 'bevel'];

/** Whether the app can find parts for this gear by its dimensions. */
export const findsParts = (pack: Pack, gear: string | undefined): boolean =>
  pack.gears.some(({ id, type }) => id === gear && FOUND.includes(type));
