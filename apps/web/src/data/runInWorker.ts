import { wrap, type Remote } from 'comlink';
import type { OperationsApi } from './operations.worker.ts';

let api: Remote<OperationsApi> | undefined;

/**
 * Runs an operation off the main thread; whoever asks says what the operation of that name answers.
 * @throws Error with the mechanic's sentence where it is refused
 */
export async function runNamedInWorker<Output>(name: string, input: unknown): Promise<Output> {
  api ??= wrap<OperationsApi>(new Worker(new URL('./operations.worker.ts', import.meta.url)));
  const answer = await api.run(name, input);
  if (!answer.ok) throw new Error(answer.sentence);
  return answer.output as Output;
}
