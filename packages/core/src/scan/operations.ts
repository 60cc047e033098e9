import { operation } from '../operation/operation.ts';
import { scanTeeth } from './scanTeeth.ts';
import { scanInput, scanOutput } from './schema.ts';
import { scanWorm } from './scanWorm.ts';
import { wormScanInput, wormScanOutput } from './wormSchema.ts';

export const scanOperations = {
  'scan.teeth': operation({
    input: scanInput,
    output: scanOutput,
    heavy: true,
    work: (input) => scanTeeth(input),
  }),
  'scan.worm': operation({
    input: wormScanInput,
    output: wormScanOutput,
    heavy: true,
    work: (input) => scanWorm(input),
  }),
};
