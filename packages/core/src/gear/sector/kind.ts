import { operation } from '../../operation/operation.ts';
import { identifyCylindrical } from '../cylindrical/identify.ts';
import { identifyInput, identifyOutput, type Candidate } from '../cylindrical/identifySchema.ts';
import { cylindricalKey } from '../cylindrical/kind.ts';
import { CYLINDRICAL_QUANTITIES } from '../cylindrical/quantities.ts';
import { cylindricalQuestion } from '../cylindrical/question.ts';
import { wantedCylindrical } from '../cylindrical/wanted.ts';
import type { GearKind } from '../GearKind.ts';

/**
 * A piece of a spur gear's round. One that a worm drives is not: its few teeth tell too little of a wheel.
 */
export const sector = {
  id: 'sector',
  types: ['sector'],
  suits: ({ body }, { joints }) => !joints.some((joint) => joint.type === 'worm' && joint.wheel === body),
  quantities: CYLINDRICAL_QUANTITIES,
  operations: {
    'gear.sector.identify': operation({
      input: identifyInput,
      output: identifyOutput,
      heavy: true,
      work: identifyCylindrical,
    }),
  },
  identification: {
    operation: 'gear.sector.identify',
    question: cylindricalQuestion,
    key: cylindricalKey,
    wanted: wantedCylindrical,
  },
} as const satisfies GearKind<Candidate>;
