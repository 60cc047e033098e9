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
  'ratio.train': operation({ summary: 'Ratio of a train of gears', input: trainInput, output: trainOutput, work: gearTrain }),
  'ratio.infer': operation({
    summary: 'Tooth counts that explain counted turns',
    input: inferInput,
    output: inferOutput,
    heavy: true,
    work: inferRatio,
  }),
  'ratio.design': operation({
    summary: 'Trains from gears that can be had, for a wanted reduction',
    input: designInput,
    output: designOutput,
    heavy: true,
    work: designTrains,
  }),
  'ratio.tyre': operation({ summary: 'How often a tyre turns in a kilometre', input: tyreInput, output: tyreOutput, work: tyreTurns }),
  'ratio.takeoff': operation({
    summary: 'Drive and driven gear for a speedometer',
    input: takeoffInput,
    output: takeoffOutput,
    work: takeoffPairs,
  }),
  'ratio.correct': operation({
    summary: 'Turns that bring an odometer forward',
    input: correctInput,
    output: correctOutput,
    work: odometerCorrection,
  }),
  'ratio.change': operation({
    summary: 'What another tyre, axle or top gear does',
    input: changeInput,
    output: changeOutput,
    work: drivelineChange,
  }),
  'ratio.swap': operation({ summary: 'Engine speed with another pair of gears', input: swapInput, output: swapOutput, work: gearSwap }),
};
