import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import pg from 'pg';
import { z } from 'zod';
import { CHANNEL } from './commit.ts';

/** Called when something was committed in the shop; with the job of a row that changed by itself. */
type Wake = (row?: string) => void;

declare module 'fastify' {
  interface FastifyInstance {
    /** Calls back whenever any server process committed something in this shop, and when that may have been missed. Returns how to stop. */
    onCommit: (shopId: string, wake: Wake) => () => void;
  }
}

const RETRY_MS = 1000;
const announcement = z.object({ shopId: z.string(), row: z.uuid().optional() });

/** Hears PostgreSQL's NOTIFY on a connection of its own, and comes back by itself when the database does. */
export const feed = fp(async (app: FastifyInstance, { databaseUrl }: { databaseUrl: string }) => {
  const listeners = new Set<{ readonly shopId: string; readonly wake: Wake }>();
  let client: pg.Client | null = null;
  let stopped = false;
  let retry: NodeJS.Timeout | undefined;

  const again = () => {
    if (stopped || retry) return;
    retry = setTimeout(() => {
      retry = undefined;
      void connect();
    }, RETRY_MS);
  };

  const connect = async () => {
    const next = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 4000, keepAlive: true });
    next.on('error', again);
    next.on('end', again);
    next.on('notification', ({ payload }) => {
      const told = announcement.safeParse(JSON.parse(payload ?? 'null'));
      if (told.success) for (const { shopId, wake } of listeners) if (shopId === told.data.shopId) wake(told.data.row);
    });
    try {
      await next.connect();
      await next.query(`LISTEN ${CHANNEL}`);
      client = next;
      // What was committed while nobody listened was announced to nobody.
      for (const { wake } of listeners) wake();
    } catch (error) {
      app.log.warn({ error }, 'no ear on the database yet');
      next.end().catch(() => undefined);
      again();
    }
  };

  app.decorate('onCommit', (shopId: string, wake: Wake) => {
    const mine = { shopId, wake };
    listeners.add(mine);
    return () => listeners.delete(mine);
  });
  await connect();
  app.addHook('onClose', async () => {
    stopped = true;
    clearTimeout(retry);
    await client?.end().catch(() => undefined);
  });
});
