import { operation } from '../operation/operation.ts';
import { chainInput, chainOutput, chainStrength } from './chain.ts';
import { pinInput, pinOutput, pinStrength } from './pin.ts';
import { toothInput, toothOutput, toothStrength } from './tooth.ts';

export const strengthOperations = {
  'strength.tooth': operation({
    summary: 'What one tooth bears, in bending and contact',
    input: toothInput,
    output: toothOutput,
    work: toothStrength,
  }),
  'strength.pin': operation({ summary: 'A pin across a shaft: pin or seat first', input: pinInput, output: pinOutput, work: pinStrength }),
  'strength.chain': operation({
    summary: 'Which link of a chain breaks first, and which next',
    input: chainInput,
    output: chainOutput,
    heavy: true,
    work: chainStrength,
  }),
};
