import { operation } from '../../operation/operation.ts';
import type { GearKind } from '../GearKind.ts';
import { screwDimensions, screwInput, screwOutput } from './dimensions.ts';
import { identifyScrew, screwIdentifyInput, screwIdentifyOutput, type ScrewCandidate } from './identify.ts';
import { SCREW_QUANTITIES } from './quantities.ts';
import { screwQuestion } from './question.ts';
import { wantedScrew } from './wanted.ts';

/** Moving screws. */
export const screw = {
  id: 'screw',
  types: ['screw'],
  quantities: SCREW_QUANTITIES,
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
  identification: {
    operation: 'gear.screw.identify',
    question: screwQuestion,
    /** @example 'metric-1.5-1', and 'metric-1.5-1-trapezoidal' */
    key: ({ series, size, starts, form }: ScrewCandidate) => `${series}-${size}-${starts}${form === 'vee' ? '' : `-${form}`}`,
    wanted: wantedScrew,
  },
} as const satisfies GearKind<ScrewCandidate>;
