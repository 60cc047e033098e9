import type { Pack } from '@patient-badger/core';
import { benchFor } from './benchFor.ts';

/** Whether the app can find parts for this gear by its dimensions. */
export const findsParts = (pack: Pack, gear: string | undefined): boolean =>
  pack.gears.some((card) => card.id === gear && benchFor(pack, card) !== null);
