import { operation } from '../../operation/operation.ts';
import type { GearKind } from '../GearKind.ts';
import { rackDimensions, rackInput, rackOutput } from './dimensions.ts';
import { identifyRack, rackIdentifyInput, rackIdentifyOutput } from './identify.ts';

/** Straight racks; computed, not yet measured on a job. */
export const rack = {
  id: 'rack',
  types: ['rack'],
  quantities: [],
  operations: {
    'gear.rack.dimensions': operation({
      input: rackInput,
      output: rackOutput,
      work: rackDimensions,
    }),
    'gear.rack.identify': operation({
      input: rackIdentifyInput,
      output: rackIdentifyOutput,
      heavy: true,
      work: identifyRack,
    }),
  },
} as const satisfies GearKind;
