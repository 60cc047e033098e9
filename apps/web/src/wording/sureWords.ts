import type { OwnLook } from '@patient-badger/core';

/** How sure somebody is of what they saw. */
export const SURE_WORDS: Readonly<Record<OwnLook['sure'], string>> = { little: 'A little', fairly: 'Fairly sure', very: 'Very sure' };
