import { operation } from '../operation/operation.ts';
import { optionsInput, optionsOutput, rankOptions } from './options.ts';
import { worthInput, worthOfLooks, worthOutput } from './worth.ts';

export const decideOperations = {
  'decide.options': operation({
    input: optionsInput,
    output: optionsOutput,
    work: rankOptions,
  }),
  'decide.worth': operation({
    input: worthInput,
    output: worthOutput,
    work: worthOfLooks,
  }),
};
