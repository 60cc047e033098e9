import { operation } from '../operation/operation.ts';
import { boreInput, boreOutput, boreSeat } from './bore.ts';
import { bond, bondInput, bondOutput, solder, solderInput, solderOutput } from './bond.ts';
import { boreOut, boreOutInput, boreOutOutput, stake, stakeInput, stakeOutput } from './boreOut.ts';
import { fitLimits, limitsInput, limitsOutput } from './limits.ts';
import { pressFit, pressInput, pressOutput } from './press.ts';

export const fitOperations = {
  'fit.limits': operation({
    input: limitsInput,
    output: limitsOutput,
    work: fitLimits,
  }),
  'fit.bore': operation({
    input: boreInput,
    output: boreOutput,
    work: boreSeat,
  }),
  'fit.press': operation({
    input: pressInput,
    output: pressOutput,
    work: pressFit,
  }),
  'fit.bond': operation({ input: bondInput, output: bondOutput, work: bond }),
  'fit.solder': operation({ input: solderInput, output: solderOutput, work: solder }),
  'fit.boreOut': operation({
    input: boreOutInput,
    output: boreOutOutput,
    work: boreOut,
  }),
  'fit.stake': operation({ input: stakeInput, output: stakeOutput, work: stake }),
};
