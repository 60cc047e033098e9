import { operation } from '../../operation/operation.ts';
import { sizeKey } from '../candidateKey.ts';
import type { GearKind } from '../GearKind.ts';
import { bevelDimensions, bevelInput, bevelOutput } from './dimensions.ts';
import { bevelIdentifyInput, bevelIdentifyOutput, identifyBevel, type BevelCandidate } from './identify.ts';
import { BEVEL_QUANTITIES } from './quantities.ts';
import { bevelQuestion } from './question.ts';
import { wantedBevel } from './wanted.ts';

/** Straight bevels, each told from its pair. */
export const bevel = {
  id: 'bevel',
  types: ['bevel'],
  quantities: BEVEL_QUANTITIES,
  operations: {
    'gear.bevel.dimensions': operation({
      input: bevelInput,
      output: bevelOutput,
      work: bevelDimensions,
    }),
    'gear.bevel.identify': operation({
      input: bevelIdentifyInput,
      output: bevelIdentifyOutput,
      heavy: true,
      work: identifyBevel,
    }),
  },
  identification: {
    operation: 'gear.bevel.identify',
    question: bevelQuestion,
    key: (candidate: BevelCandidate) => sizeKey(candidate),
    wanted: wantedBevel,
  },
} as const satisfies GearKind<BevelCandidate>;
