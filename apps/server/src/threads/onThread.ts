import { Worker } from 'node:worker_threads';
import { packed } from './packed.ts';

export interface ThreadLimits {
  /** After so long the thread is ended and the answer is refused; without one it may take its time. */
  readonly deadlineMs?: number;
  /** The process may end while the thread is at work. */
  readonly detached?: boolean;
}

/**
 * Runs the `work` of a module on a thread of its own, away from the one that answers everybody. What goes
 * in and comes out is copied: plain data, no classes, so a module gives its refusals as data.
 * @throws Error where the thread breaks or takes longer than the deadline
 * @example await onThread<Input, Reply>(new URL('./readPhoto.ts', import.meta.url), { bytes }, { deadlineMs: 20_000 })
 */
export async function onThread<Input, Reply = undefined>(
  module: URL,
  input: Input,
  { deadlineMs, detached = false }: ThreadLimits = {},
): Promise<Reply> {
  const code = await packed(module);
  return new Promise((resolve, reject) => {
    // What it runs is packed: a loader inherited from the parent's command line would only take time.
    const worker = new Worker(new URL('./thread.js', import.meta.url), { workerData: { code, input }, execArgv: [] });
    if (detached) worker.unref();
    const settle = (act: () => void) => {
      clearTimeout(deadline);
      act();
      void worker.terminate();
    };
    const late = () => settle(() => reject(new Error(`${module.pathname.split('/').at(-1)} took longer than ${deadlineMs} ms`)));
    const deadline = deadlineMs === undefined ? undefined : setTimeout(late, deadlineMs);
    worker.once('message', (reply: Reply) => settle(() => resolve(reply)));
    worker.once('error', (error) => settle(() => reject(error)));
    worker.once('exit', (code) => settle(() => reject(new Error(`the thread ended with ${code} and no answer`))));
  });
}
