import { modelOverrides, type ModelOverrides } from '@patient-badger/core/machine';

/**
 * What a model has otherwise, as any release wrote it: fields that came later (`put`, `without`, `faults`) are empty in
 * what is older. One door for all that is read of it.
 */
export const overridesOf = (stored: unknown): ModelOverrides | null =>
  stored === null || stored === undefined ? null : modelOverrides.parse(stored);
