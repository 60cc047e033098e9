import { operation } from '../operation/operation.ts';
import { speedometerInput, speedometerOutput, speedometerProof } from './speedometer.ts';
import { turnsInput, turnsOutput, turnsProof } from './turns.ts';

export const proveOperations = {
  'prove.turns': operation({
    summary: 'Turns counted out against the ratio',
    input: turnsInput,
    output: turnsOutput,
    work: turnsProof,
  }),
  'prove.speedometer': operation({
    summary: 'A speedometer against a reference',
    input: speedometerInput,
    output: speedometerOutput,
    work: speedometerProof,
  }),
};
