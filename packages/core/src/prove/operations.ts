import { operation } from '../operation/operation.ts';
import { speedometerInput, speedometerOutput, speedometerProof } from './speedometer.ts';
import { turnsInput, turnsOutput, turnsProof } from './turns.ts';

export const proveOperations = {
  'prove.turns': operation({
    input: turnsInput,
    output: turnsOutput,
    work: turnsProof,
  }),
  'prove.speedometer': operation({
    input: speedometerInput,
    output: speedometerOutput,
    work: speedometerProof,
  }),
};
