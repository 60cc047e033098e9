import { operation } from '../operation/operation.ts';
import { boreInput, boreOutput, boreSeat } from './bore.ts';
import { bond, bondInput, bondOutput, solder, solderInput, solderOutput } from './bond.ts';
import { boreOut, boreOutInput, boreOutOutput, stake, stakeInput, stakeOutput } from './boreOut.ts';
import { fitLimits, limitsInput, limitsOutput } from './limits.ts';
import { pressFit, pressInput, pressOutput } from './press.ts';

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
  'fit.press': operation({
    summary: 'A press fit: pressure, torque, and when it is loose',
    input: pressInput,
    output: pressOutput,
    work: pressFit,
  }),
  'fit.bond': operation({ summary: 'A hub held by retaining compound', input: bondInput, output: bondOutput, work: bond }),
  'fit.solder': operation({ summary: 'A crack or hub soldered', input: solderInput, output: solderOutput, work: solder }),
  'fit.boreOut': operation({
    summary: 'A bore opened out, with its plug gauge',
    input: boreOutInput,
    output: boreOutOutput,
    work: boreOut,
  }),
  'fit.stake': operation({ summary: 'A bore closed by staking round it', input: stakeInput, output: stakeOutput, work: stake }),
};
