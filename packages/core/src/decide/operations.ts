import { operation } from '../operation/operation.ts';
import { optionsInput, optionsOutput, rankOptions } from './options.ts';
import { worthInput, worthOfLooks, worthOutput } from './worth.ts';

export const decideOperations = {
  'decide.options': operation({
    summary: 'What each way costs in a year that it holds',
    input: optionsInput,
    output: optionsOutput,
    work: rankOptions,
  }),
  'decide.worth': operation({
    summary: 'Whether one more look is worth its minutes',
    input: worthInput,
    output: worthOutput,
    work: worthOfLooks,
  }),
};
