import { operation } from '../operation/operation.ts';
import { compareGears, compareInput, compareOutput } from './compare.ts';
import { gearKindOperations } from './kinds.ts';

/** The operations of every kind of gear, and what needs none. */
export const gearOperations = {
  ...gearKindOperations,
  'gear.compare': operation({
    input: compareInput,
    output: compareOutput,
    work: compareGears,
  }),
};
