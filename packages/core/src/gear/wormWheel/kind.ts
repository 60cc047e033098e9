import { operation } from '../../operation/operation.ts';
import { sizeKey } from '../candidateKey.ts';
import type { GearKind } from '../GearKind.ts';
import { identifyWheel, wheelIdentifyInput, wheelIdentifyOutput, type WheelCandidate } from './identify.ts';
import { WORM_WHEEL_QUANTITIES } from './quantities.ts';
import { wheelQuestion } from './question.ts';
import { wantedWheel } from './wanted.ts';

/** The wheel that a worm drives; its dimensions come with the worm's. */
export const wormWheel = {
  id: 'wormWheel',
  types: ['wormWheel'],
  quantities: WORM_WHEEL_QUANTITIES,
  operations: {
    'gear.wormWheel.identify': operation({
      input: wheelIdentifyInput,
      output: wheelIdentifyOutput,
      heavy: true,
      work: identifyWheel,
    }),
  },
  identification: {
    operation: 'gear.wormWheel.identify',
    question: wheelQuestion,
    key: (candidate: WheelCandidate) => sizeKey(candidate),
    wanted: wantedWheel,
  },
} as const satisfies GearKind<WheelCandidate>;
