import { operation } from '../../operation/operation.ts';
import { sizeKey } from '../candidateKey.ts';
import type { GearKind } from '../GearKind.ts';
import { wormDimensions, wormDimensionsInput, wormDimensionsOutput } from './dimensions.ts';
import { identifyWorm, wormIdentifyInput, wormIdentifyOutput, type WormCandidate } from './identify.ts';
import { WORM_QUANTITIES } from './quantities.ts';
import { wormQuestion } from './question.ts';
import { wantedWorm } from './wanted.ts';

/** Cylindrical worms. */
export const worm = {
  id: 'worm',
  types: ['worm'],
  quantities: WORM_QUANTITIES,
  operations: {
    'gear.worm.dimensions': operation({
      input: wormDimensionsInput,
      output: wormDimensionsOutput,
      work: wormDimensions,
    }),
    'gear.worm.identify': operation({
      input: wormIdentifyInput,
      output: wormIdentifyOutput,
      heavy: true,
      work: identifyWorm,
    }),
  },
  identification: {
    operation: 'gear.worm.identify',
    question: wormQuestion,
    /** @example 'module-1-1' */
    key: (candidate: WormCandidate) => `${sizeKey(candidate)}-${candidate.starts}`,
    wanted: wantedWorm,
  },
} as const satisfies GearKind<WormCandidate>;
