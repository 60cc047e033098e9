import { operation } from '../operation/operation.ts';
import { tighteningInput, tighteningOrder, tighteningOutput } from './tighteningOrder.ts';

export const accessOperations = {
  'setup.tighteningOrder': operation({
    input: tighteningInput,
    output: tighteningOutput,
    work: tighteningOrder,
  }),
};
