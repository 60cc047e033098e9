import { operation } from '../../operation/operation.ts';
import type { GearKind } from '../GearKind.ts';
import { screwDimensions, screwInput, screwOutput } from './dimensions.ts';
import { identifyScrew, screwIdentifyInput, screwIdentifyOutput } from './identify.ts';

/** Moving screws; computed, not yet measured on a job. */
export const screw = {
  id: 'screw',
  types: ['screw'],
  quantities: [],
  operations: {
    'gear.screw.dimensions': operation({
      input: screwInput,
      output: screwOutput,
      work: screwDimensions,
    }),
    'gear.screw.identify': operation({
      input: screwIdentifyInput,
      output: screwIdentifyOutput,
      heavy: true,
      work: identifyScrew,
    }),
  },
} as const satisfies GearKind;
