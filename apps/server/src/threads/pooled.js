import { workerData } from 'piscina';
import { exportsOf } from './run.js';

const { work } = exportsOf(workerData.code);

/** Tells when it begins: until then it waited for its turn, or for this thread. */
export default async function ({ input, begun }) {
  begun.postMessage('begun');
  return work(input);
}
