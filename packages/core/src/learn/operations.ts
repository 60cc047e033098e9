import { operation } from '../operation/operation.ts';
import { familyIn, type Families } from '../packOperations.ts';
import { dueInput, dueOn, dueOutput } from './due.ts';
import { lifeInput, lifeOutput, partLife } from './life.ts';
import { movedPriors, priorsInput, priorsOutput } from './priors.ts';

export const learnOperations = (families: Families) => ({
  'learn.life': operation({
    input: lifeInput,
    output: lifeOutput,
    heavy: true,
    work: partLife,
  }),
  'learn.due': operation({ input: dueInput, output: dueOutput, work: dueOn }),
  'learn.priors': operation({
    input: priorsInput,
    output: priorsOutput,
    work: ({ family, ...asked }) => movedPriors(familyIn(families)(family), asked),
  }),
});
