import { createOperations } from '@patient-badger/core';
import { familyIds, findFamily } from './families.ts';

/** The core's operations with the families that ship: what screens, workers, server and command line all call. */
export const operations = createOperations(findFamily, familyIds);
