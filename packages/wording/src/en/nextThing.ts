import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  nextMeasureWhatCame: 'Next: measure what came',
  nextPartOnItsWay: (name: Value) => `Next: ${name}, on its way`,
  nextMeasure: 'Next: its gear, measured',
  nextPart: 'Next: a part that fits it',
  nextSave: 'Next: the old one, saved',
  nextMake: 'Next: a new one, made here',
  nextFit: 'Next: put in what was chosen',
  nextOpen: (name: Value, left: number) => `Next: take it apart, ${name}${left > 1 ? `, and ${left - 1} more` : ''}`,
  nextClose: (name: Value, left: number) => `Next: put it back, ${name}${left > 1 ? `, and ${left - 1} more` : ''}`,
  nextSet: (name: Value) => `Next: set, ${name}`,
  nextProve: (name: Value) => `Next: prove, ${name}`,
  nextEnd: 'Next: hand it back',
});
