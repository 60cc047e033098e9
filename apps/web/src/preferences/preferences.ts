import type { LengthUnit } from '@patient-badger/core';
import { createStored } from './stored.ts';

export const lengthUnit = createStored<LengthUnit>('length-unit', 'mm');
export const instrument = createStored<string>('instrument', 'digitalCaliper');
export const scheme = createStored<'device' | 'light' | 'dark'>('scheme', 'device');
