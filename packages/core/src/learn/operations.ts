import { operation } from '../operation/operation.ts';
import { familyIn, type Families } from '../packOperations.ts';
import { dueInput, dueOn, dueOutput } from './due.ts';
import { lifeInput, lifeOutput, partLife } from './life.ts';
import { movedPriors, priorsInput, priorsOutput } from './priors.ts';

export const learnOperations = (families: Families) => ({
  'learn.life': operation({
    summary: 'How long a part lives, by those that failed and those that run',
    input: lifeInput,
    output: lifeOutput,
    heavy: true,
    work: partLife,
  }),
  'learn.due': operation({ summary: 'When something is to be looked at again', input: dueInput, output: dueOutput, work: dueOn }),
  'learn.priors': operation({
    summary: 'A family’s priors as the shop’s own verdicts move them',
    input: priorsInput,
    output: priorsOutput,
    work: ({ family, ...asked }) => movedPriors(familyIn(families)(family), asked),
  }),
});
