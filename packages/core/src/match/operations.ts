import { operation } from '../operation/operation.ts';
import { fit } from './fit.ts';
import { checkSize } from './partSize.ts';
import { receive, receiveInput, receiveOutput } from './receive.ts';
import { matchFitInput, matchFitOutput } from './schema.ts';
import { standsIn, standsInInput, standsInOutput } from './standsIn.ts';

export const matchOperations = {
  'match.fit': operation({
    input: matchFitInput,
    output: matchFitOutput,
    work: (input) => {
      checkSize(input.part, 'part');
      return fit(input);
    },
  }),
  'match.standsIn': operation({
    input: standsInInput,
    output: standsInOutput,
    work: standsIn,
  }),
  'match.receive': operation({ input: receiveInput, output: receiveOutput, work: receive }),
};
