import { t } from '@patient-badger/wording/shared';
import type { OwnLook } from '@patient-badger/core/machine';

/** How sure somebody is of what they saw. */
export const SURE_WORDS: Readonly<Record<OwnLook['sure'], string>> = { little: t.aLittle, fairly: t.fairlySure, very: t.verySure };
