import { wrap, type Remote } from 'comlink';
import type { OperationsDoor } from './operations.worker.ts';

let door: Remote<OperationsDoor> | undefined;

/** Runs an operation off the main thread. @throws Error with the mechanic's sentence where it is refused */
export async function runInWorker<T>(name: string, input: unknown): Promise<T> {
  door ??= wrap<OperationsDoor>(new Worker(new URL('./operations.worker.ts', import.meta.url)));
  const answer = await door.run(name, input);
  if (!answer.ok) throw new Error(answer.sentence);
  return answer.output as T;
}
