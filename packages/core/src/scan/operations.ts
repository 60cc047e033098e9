import { operation } from '../operation/operation.ts';
import { scanTeeth } from './scanTeeth.ts';
import { scanInput, scanOutput } from './schema.ts';

export const scanOperations = {
  'scan.teeth': operation({
    input: scanInput,
    output: scanOutput,
    heavy: true,
    work: (input) => scanTeeth(input),
  }),
};
