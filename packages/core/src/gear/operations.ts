import { operation } from '../operation/operation.ts';
import { compareGears, compareInput, compareOutput } from './compare.ts';
import { gearKindOperations } from './kinds.ts';
import { wearBeside, wearBesideInput, wearBesideOutput } from './wearBeside.ts';

/** The operations of every kind of gear, and what needs none. */
export const gearOperations = {
  ...gearKindOperations,
  'gear.compare': operation({
    input: compareInput,
    output: compareOutput,
    work: compareGears,
  }),
  'gear.wearBeside': operation({
    input: wearBesideInput,
    output: wearBesideOutput,
    work: wearBeside,
  }),
};
