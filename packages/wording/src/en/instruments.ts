import type { InstrumentId } from '@patient-badger/core';
import { catalogue } from '../catalogue.ts';

/** What is measured with. */
export const INSTRUMENT_NAMES = catalogue({
  steelRule: 'Steel rule',
  plasticCaliper: 'Plastic caliper',
  digitalCaliper: 'Digital caliper',
  micrometer: 'Micrometer',
  protractor: 'Protractor',
} satisfies Record<InstrumentId, string>);
