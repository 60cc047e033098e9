import { checkPack, packSchema, type Pack } from '@patient-badger/core';
import sawOilPump from './families/saw-oil-pump.json' with { type: 'json' };

/** Every family that ships with the app, checked as it is loaded: a pack that does not hold together stops the start. */
export const FAMILIES: readonly Pack[] = [sawOilPump].map((file) => checkPack(packSchema.parse(file)));

export const familyIds = (): readonly string[] => FAMILIES.map(({ id }) => id);

/** The family with this id; undefined where the app ships none. */
export const findFamily = (id: string): Pack | undefined => FAMILIES.find((family) => family.id === id);
