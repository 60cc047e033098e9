import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';

export interface PoolLimits {
  /** So many are at work at once. */
  readonly threads: number;
  /** So many more may wait; the next is turned away at once. */
  readonly queue: number;
  /** Whoever takes longer is ended, thread and all. */
  readonly deadlineMs: number;
}

/** Nobody is free, and enough wait already: worth trying again in a while. */
export class PoolBusy extends Error {}
/** It took longer than it may. */
export class PoolLate extends Error {}

export interface Pool<Input, Reply> {
  /**
   * Where `gone` is aborted, nobody waits for the answer any more and the work is ended.
   * @throws PoolBusy, PoolLate, or what the work itself throws
   */
  run(input: Input, gone?: AbortSignal): Promise<Reply>;
  close(): Promise<void>;
}

const IDLE_MS = 30_000;

/**
 * The `work` of a module on threads that stay, away from the one that answers everybody. What goes in and
 * comes out is copied: plain data, no classes. Threads start when they are first wanted.
 */
export function createPool<Input, Reply>(module: URL, { threads, queue, deadlineMs }: PoolLimits): Pool<Input, Reply> {
  const name = module.pathname.split('/').at(-1);
  let pool: Piscina<Input, Reply> | undefined;
  const open = () =>
    (pool ??= new Piscina<Input, Reply>({
      filename: fileURLToPath(new URL('./pooled.js', import.meta.url)),
      workerData: { module: module.href },
      // The thread brings its own loader: a second one, inherited from the parent's command line, would stand in its way.
      execArgv: [],
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: IDLE_MS,
    }));
  let inHand = 0;
  return {
    async run(input, gone) {
      // The library hands tasks to threads that are still at work: what waits is counted here.
      if (inHand >= threads + queue) throw new PoolBusy(`${name} has ${inHand} in hand`);
      inHand++;
      const late = AbortSignal.timeout(deadlineMs);
      try {
        return await open().run(input, { signal: gone ? AbortSignal.any([late, gone]) : late });
      } catch (error) {
        if (late.aborted) throw new PoolLate(`${name} took longer than ${deadlineMs} ms`);
        throw error;
      } finally {
        inHand--;
      }
    },
    close: async () => pool?.destroy(),
  };
}
