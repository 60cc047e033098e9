import type { CellCode, CellProblem } from '@patient-badger/core/parts';

const CELL_WORDS: Readonly<Record<CellCode, (detail: NonNullable<CellProblem['detail']>) => string>> = {
  notOneNumber: () => 'That is not one number.',
  notPositive: () => 'That must be more than zero.',
  notWhole: () => 'That is counted: a whole number.',
  tooLarge: ({ most }) => `That is more than ${most}. Is the unit right?`,
  notOneOf: ({ known = [] }) => `One of: ${known.join(', ')}.`,
  noPartNumber: () => 'A part without a number cannot be ordered.',
  partNumberTooLong: () => 'That is too long for a part number.',
  noType: ({ known = [] }) => `What is it? One of: ${known.join(', ')}.`,
  noSize: () => 'Module or diametral pitch is needed: parts are found by it.',
  pitchAgainstModule: () => 'That is another size than the module beside it. Leave one of the two out.',
  standsTwice: ({ line }) => `It stands in line ${line} already.`,
  anotherGear: ({ line }) => `Line ${line} has the same number for another gear.`,
};

/** What is wrong with a cell of a list, in a sentence. */
export const cellSentence = ({ code, detail = {} }: CellProblem): string => CELL_WORDS[code](detail);
