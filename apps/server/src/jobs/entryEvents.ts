import type { Entry } from '@patient-badger/core';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import pg from 'pg';
import type { DataSource } from 'typeorm';
import { CHANNEL, toEntry } from './store.ts';
import { entries } from './entities.ts';

type Listener = (entry: Entry) => void;

declare module 'fastify' {
  interface FastifyInstance {
    /** Calls back for each entry that any server process stored in this shop. Returns how to stop. */
    onEntry: (shopId: string, listener: Listener) => () => void;
  }
}

const RETRY_MS = 1000;

/** Hears PostgreSQL's NOTIFY on a connection of its own, and comes back by itself when the database does. */
export const events = fp(async (app: FastifyInstance, { dataSource, databaseUrl }: { dataSource: DataSource; databaseUrl: string }) => {
  const listeners = new Set<{ shopId: string; listener: Listener }>();
  let client: pg.Client | null = null;
  let stopped = false;
  let retry: NodeJS.Timeout | undefined;

  const hear = async (payload: string) => {
    const { shopId, ids } = JSON.parse(payload) as { shopId: string; ids: string[] };
    const listening = [...listeners].filter((each) => each.shopId === shopId);
    if (listening.length === 0) return;
    const rows = await dataSource
      .getRepository(entries)
      .createQueryBuilder('e')
      .where('e.id IN (:...ids)', { ids })
      .orderBy('e.at')
      .getMany();
    for (const row of rows) for (const { listener } of listening) listener(toEntry(row));
  };

  const again = () => {
    if (stopped || retry) return;
    retry = setTimeout(() => {
      retry = undefined;
      void connect();
    }, RETRY_MS);
  };

  const connect = async () => {
    const next = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 4000 });
    next.on('error', () => again());
    next.on('end', () => again());
    next.on('notification', ({ payload }) => {
      if (payload) hear(payload).catch((error: unknown) => app.log.warn(error));
    });
    try {
      await next.connect();
      await next.query(`LISTEN ${CHANNEL}`);
      client = next;
    } catch (error) {
      app.log.warn({ error }, 'no ear on the database yet');
      again();
    }
  };

  app.decorate('onEntry', (shopId: string, listener: Listener) => {
    const mine = { shopId, listener };
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
