export { cellSentence } from './cellWords.ts';
export { failureSentence, rowSentence } from './failureSentence.ts';
export { problemSentence, type ProblemDetail } from './problemWords.ts';
export { remarkSentence } from './remarkWords.ts';
