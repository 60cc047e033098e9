import { operation } from '../operation/operation.ts';
import { chainInput, chainOutput, chainStrength } from './chain.ts';
import { pinInput, pinOutput, pinStrength } from './pin.ts';
import { toothInput, toothOutput, toothStrength } from './tooth.ts';

export const strengthOperations = {
  'strength.tooth': operation({
    input: toothInput,
    output: toothOutput,
    work: toothStrength,
  }),
  'strength.pin': operation({ input: pinInput, output: pinOutput, work: pinStrength }),
  'strength.chain': operation({
    input: chainInput,
    output: chainOutput,
    heavy: true,
    work: chainStrength,
  }),
};
