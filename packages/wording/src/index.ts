export { cellSentence } from './en/cellWords.ts';
export { failureSentence, rowSentence } from './en/failureSentence.ts';
export { problemSentence, type ProblemDetail } from './en/problemWords.ts';
export { remarkSentence } from './en/remarkWords.ts';
