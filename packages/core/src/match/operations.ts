import { operation } from '../operation/operation.ts';
import { fit } from './fit.ts';
import { checkSize } from './partSize.ts';
import { receive, receiveInput, receiveOutput } from './receive.ts';
import { matchFitInput, matchFitOutput } from './schema.ts';
import { standsIn, standsInInput, standsInOutput } from './standsIn.ts';

export const matchOperations = {
  'match.fit': operation({
    summary: 'Does this part fit, attribute by attribute',
    input: matchFitInput,
    output: matchFitOutput,
    work: (input) => {
      checkSize(input.part, 'part');
      return fit(input);
    },
  }),
  'match.standsIn': operation({
    summary: 'Whether one part is the same as another',
    input: standsInInput,
    output: standsInOutput,
    work: standsIn,
  }),
  'match.receive': operation({ summary: 'Is what arrived what was ordered', input: receiveInput, output: receiveOutput, work: receive }),
};
