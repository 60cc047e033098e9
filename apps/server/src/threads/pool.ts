import { fileURLToPath } from 'node:url';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { packed } from './packed.ts';

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
  /** Brings the first thread up, so that nobody waits for it; once there is something to answer. */
  warm(): void;
  close(): Promise<void>;
}

/** A thread that does not come up in this time does not come up at all. */
const STARTS_WITHIN_MS = 120_000;

/**
 * The `work` of a module on threads that stay, away from the one that answers everybody. What goes in and
 * comes out is copied: plain data, no classes. Threads start from one packed file and are kept;
 * a deadline counts from when the work begins, however long a slow machine takes to bring its thread up.
 */
export function createPool<Input, Reply>(module: URL, { threads, queue, deadlineMs }: PoolLimits): Pool<Input, Reply> {
  const name = module.pathname.split('/').at(-1);
  let pool: Promise<Piscina<unknown, Reply>> | undefined;
  const open = () =>
    (pool ??= packed(module).then(
      (code) =>
        new Piscina<unknown, Reply>({
          filename: fileURLToPath(new URL('./pooled.js', import.meta.url)),
          workerData: { code },
          execArgv: [],
          minThreads: 1,
          maxThreads: threads,
          idleTimeout: Infinity,
        }),
    ));
  let inHand = 0;
  return {
    async run(input, gone) {
      // The library hands tasks to threads that are still at work: what waits is counted here.
      if (inHand >= threads + queue) throw new PoolBusy(`${name} has ${inHand} in hand`);
      inHand++;
      const late = new AbortController();
      const { port1: ear, port2: begun } = new MessageChannel();
      let deadline = setTimeout(() => late.abort(), STARTS_WITHIN_MS * (1 + queue));
      ear.once('message', () => {
        clearTimeout(deadline);
        deadline = setTimeout(() => late.abort(), deadlineMs);
      });
      try {
        const running = await open();
        return await running.run(
          { input, begun },
          { transferList: [begun], signal: gone ? AbortSignal.any([late.signal, gone]) : late.signal },
        );
      } catch (error) {
        if (late.signal.aborted) throw new PoolLate(`${name} took longer than ${deadlineMs} ms`);
        throw error;
      } finally {
        clearTimeout(deadline);
        ear.close();
        inHand--;
      }
    },
    warm: () => void open().catch(() => (pool = undefined)),
    close: async () => (await pool?.catch(() => undefined))?.destroy(),
  };
}
