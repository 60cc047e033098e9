import { operation } from '../operation/operation.ts';
import { compareGears, compareInput, compareOutput } from './compare.ts';
import { gearKindOperations } from './kinds.ts';

/** The operations of every kind of gear, and what needs none. */
export const gearOperations = {
  ...gearKindOperations,
  'gear.compare': operation({
    summary: 'Two gears side by side, attribute by attribute',
    input: compareInput,
    output: compareOutput,
    work: compareGears,
  }),
};
