import { operation } from '../operation/operation.ts';
import { boreInput, boreOutput, boreSeat } from './bore.ts';
import { fitLimits, limitsInput, limitsOutput } from './limits.ts';

export const fitOperations = {
  'fit.limits': operation({
    summary: 'Limits and fit of hole and shaft by ISO 286',
    input: limitsInput,
    output: limitsOutput,
    work: fitLimits,
  }),
  'fit.bore': operation({
    summary: 'How a gear sits on its shaft: clearance and turning play',
    input: boreInput,
    output: boreOutput,
    work: boreSeat,
  }),
};
