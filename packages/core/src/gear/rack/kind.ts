import { operation } from '../../operation/operation.ts';
import type { GearKind } from '../GearKind.ts';
import { rackDimensions, rackInput, rackOutput } from './dimensions.ts';
import { sizeKey } from '../candidateKey.ts';
import { identifyRack, rackIdentifyInput, rackIdentifyOutput, type RackCandidate } from './identify.ts';
import { RACK_QUANTITIES } from './quantities.ts';
import { rackQuestion } from './question.ts';
import { wantedRack } from './wanted.ts';

/** Straight racks. */
export const rack = {
  id: 'rack',
  types: ['rack'],
  quantities: RACK_QUANTITIES,
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
  identification: {
    operation: 'gear.rack.identify',
    question: rackQuestion,
    /** @example 'module-2-20' */
    key: (candidate: RackCandidate) => `${sizeKey(candidate)}-${candidate.pressureAngleDeg}`,
    wanted: wantedRack,
  },
} as const satisfies GearKind<RackCandidate>;
