import { operation } from '../operation/operation.ts';
import { scanTeeth } from './scanTeeth.ts';
import { scanInput, scanOutput } from './schema.ts';

export const scanOperations = {
  'scan.teeth': operation({
    summary: 'Teeth counted on a photo: how many, which are missing, how big',
    input: scanInput,
    output: scanOutput,
    heavy: true,
    work: (input) => scanTeeth(input),
  }),
};
