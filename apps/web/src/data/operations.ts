import { createOperations } from '@patient-badger/core';
import { familyIds, findFamily } from '@patient-badger/knowledge';

/** The core's operations on the families that ship with the app. */
export const operations = createOperations({ find: findFamily, ids: familyIds });
