import type { PackRemark, RemarkCode } from '@patient-badger/core/machine';

const REMARK_WORDS: Readonly<Record<RemarkCode, (detail: PackRemark['detail']) => string>> = {
  notInTextbook: ({ id }) => `The look "${id}" is not in the textbook order, so the benchmark never takes it.`,
  noInnocents: () => 'Every fault is a gear’s. Add what can be wrong while every gear is sound: no supply, friction, dirt.',
  cautionUnread: ({ id }) => `The caution "${id}" stands at no step, look or proof, so nobody reads it.`,
  stepNotUndone: ({ id }) => `Nothing on the way back undoes the step "${id}".`,
  factUnasked: ({ fact }) => `The fact "${fact}" moves a fault, and no question asks for it.`,
  soundChainStill: ({ id, needed, given }) =>
    `In the look "${id}" a sound chain would not be seen to move: drive it ${Number(needed).toFixed(1)} at least, not ${given}.`,
  deadDriverUntold: ({ id }) =>
    `The look "${id}" is by the machine's own power, and no fault takes that power away: say in a fault's modes which bodies are dead.`,
  noRemedies: ({ id }) => `"${id}" does not say how people go on from it: no remedy can be planned, priced or offered for it.`,
  notSettled: ({ id, best }) =>
    `Nothing that one sees settles "${id}": a look marked as seen should tell it from the others by 20 to 1 or better, not by ${Number(best).toFixed(1)}.`,
  nothingAtService: () => 'No find is given that turns up at a service without a complaint.',
  oneSided: ({ id, other }) => `"${id}" is there for one side only: there is no "${other}".`,
  writtenEarlier: ({ id, now }) => `The field "${id}" is now called "${now}"; it was read.`,
  tellsNothing: ({ id }) => `The look "${id}" shows the same whatever is wrong: it tells nothing.`,
  neverTold: ({ id, other }) => `"${id}" can never be told from "${other}": no look shows something else for it.`,
};

/** A remark on a family file, in a sentence. */
export const remarkSentence = ({ code, detail }: PackRemark): string => REMARK_WORDS[code](detail);
