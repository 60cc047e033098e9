import { learning, verdicts, type Learning } from '@patient-badger/contract';
import type { ShopStatistics } from '@patient-badger/core/job';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import type { Config } from '../config.ts';
import { allVerdicts } from '../jobs/verdicts.ts';
import { createPool } from '../threads/pool.ts';
import type { LearnTask } from './learnOnThread.ts';
import { named } from './named.ts';
import { fillSummaries } from './summaries.ts';

const LIMITS = { threads: 1, queue: 8, deadlineMs: 60_000 };
/** Whoever asks waits so long for a result before they are told how far it is. */
const WAIT_MS = 400;

interface LearntCache {
  /** The shop's record as far as it was read. */
  readonly seq: number;
  readonly day: string;
  readonly learnt: ShopStatistics;
}
interface Running {
  readonly progress: SharedArrayBuffer;
  readonly done: Promise<void>;
}

/** What the shop's own log teaches; and its verdicts, as they move the priors of the families. */
export const learningRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource; config: Config }> = async (app, { dataSource, config }) => {
  const pool = createPool<LearnTask, ShopStatistics>(new URL('./learnOnThread.ts', import.meta.url), LIMITS);
  app.addHook('onClose', () => pool.close());
  const known = new Map<string, LearntCache>();
  const running = new Map<string, Running>();

  const start = (shopId: string, seq: number, day: string): Running => {
    const progress = new SharedArrayBuffer(2 * Int32Array.BYTES_PER_ELEMENT);
    const done = fillSummaries(dataSource, shopId)
      .then(() => pool.run({ databaseUrl: config.DATABASE_URL, shopId, progress }))
      .then((learnt) => void known.set(shopId, { seq, day, learnt }))
      .finally(() => running.delete(shopId));
    // Whoever waits for it hears of a failure; where nobody does, it is no failure of the house.
    done.catch((error: unknown) => app.log.warn({ error }, 'the log could not be learnt from'));
    const begun = { progress, done };
    running.set(shopId, begun);
    return begun;
  };

  app.get('/api/learnt', { schema: { response: { 200: learning } } }, async ({ shopId }): Promise<Learning> => {
    const [row] = await dataSource.query<{ last_seq: string }[]>('SELECT last_seq FROM shops WHERE id = $1', [shopId]);
    const [seq, day] = [Number(row?.last_seq ?? 0), new Date().toISOString().slice(0, 10)];
    const before = known.get(shopId);
    // Parts that still run have worked a day longer tomorrow.
    if (before?.seq !== seq || before.day !== day) {
      const { done } = running.get(shopId) ?? start(shopId, seq, day);
      await Promise.race([done, new Promise((resolve) => setTimeout(resolve, WAIT_MS))]);
    }
    const [now, at] = [known.get(shopId), running.get(shopId)];
    const [read = 0, of = 0] = at ? new Int32Array(at.progress) : [];
    return { learnt: now ? await named(dataSource, shopId, now.learnt) : null, working: at ? { done: read, of } : null };
  });

  app.get('/api/verdicts', { schema: { response: { 200: verdicts } } }, async ({ shopId }) => [
    ...(await allVerdicts(dataSource.manager, shopId)).map(({ faults, ...rest }) => ({ ...rest, faults: [...faults] })),
  ]);
};
