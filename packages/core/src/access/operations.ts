import { operation } from '../operation/operation.ts';
import { tighteningInput, tighteningOrder, tighteningOutput } from './tighteningOrder.ts';

export const accessOperations = {
  'setup.tighteningOrder': operation({
    summary: 'In which order and passes to tighten screws',
    input: tighteningInput,
    output: tighteningOutput,
    work: tighteningOrder,
  }),
};
