import type { Shop } from '@patient-badger/contract';
import type { LengthUnit } from '@patient-badger/core';
import { createStored } from './stored.ts';

export const lengthUnit = createStored<LengthUnit>('length-unit', 'mm');
export const distanceUnit = createStored<Shop['distanceUnit']>('distance-unit', 'km');
export const torqueUnit = createStored<Shop['torqueUnit']>('torque-unit', 'N·m');
export const instrument = createStored<string>('instrument', 'digitalCaliper');
export const scheme = createStored<'device' | 'light' | 'dark'>('scheme', 'device');

/** The units of the shop hold on a device where nobody has chosen others. */
export function proposeUnits(shop: Pick<Shop, 'lengthUnit' | 'distanceUnit' | 'torqueUnit'>): void {
  lengthUnit.propose(shop.lengthUnit);
  distanceUnit.propose(shop.distanceUnit);
  torqueUnit.propose(shop.torqueUnit);
}
