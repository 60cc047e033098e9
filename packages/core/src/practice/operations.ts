import { operation } from '../operation/operation.ts';
import { familyIn, type Families } from '../packOperations.ts';
import { deal, look, score } from './practice.ts';
import { dealInput, dealOutput, lookInput, lookOutput, scoreInput, scoreOutput } from './schema.ts';

export const practiceOperations = (families: Families) => ({
  'practice.deal': operation({
    input: dealInput,
    output: dealOutput,
    work: (input) => deal(input, familyIn(families)),
  }),
  'practice.look': operation({
    input: lookInput,
    output: lookOutput,
    work: (input) => look(input, familyIn(families)),
  }),
  'practice.score': operation({
    input: scoreInput,
    output: scoreOutput,
    heavy: true,
    work: (input) => score(input, familyIn(families)),
  }),
});
