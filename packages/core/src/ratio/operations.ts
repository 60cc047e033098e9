import { operation } from '../operation/operation.ts';
import { changeInput, changeOutput, drivelineChange } from './change.ts';
import { correctInput, correctOutput, odometerCorrection } from './correct.ts';
import { designInput, designOutput, designTrains } from './design.ts';
import { inferInput, inferOutput, inferRatio } from './infer.ts';
import { gearSwap, swapInput, swapOutput } from './swap.ts';
import { takeoffInput, takeoffOutput, takeoffPairs } from './takeoff.ts';
import { gearTrain, trainInput, trainOutput } from './train.ts';
import { tyreInput, tyreOutput, tyreTurns } from './tyre.ts';

export const ratioOperations = {
  'ratio.train': operation({ input: trainInput, output: trainOutput, work: gearTrain }),
  'ratio.infer': operation({
    input: inferInput,
    output: inferOutput,
    heavy: true,
    work: inferRatio,
  }),
  'ratio.design': operation({
    input: designInput,
    output: designOutput,
    heavy: true,
    work: designTrains,
  }),
  'ratio.tyre': operation({ input: tyreInput, output: tyreOutput, work: tyreTurns }),
  'ratio.takeoff': operation({
    input: takeoffInput,
    output: takeoffOutput,
    work: takeoffPairs,
  }),
  'ratio.correct': operation({
    input: correctInput,
    output: correctOutput,
    work: odometerCorrection,
  }),
  'ratio.change': operation({
    input: changeInput,
    output: changeOutput,
    work: drivelineChange,
  }),
  'ratio.swap': operation({ input: swapInput, output: swapOutput, work: gearSwap }),
};
