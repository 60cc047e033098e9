import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import pg from 'pg';
import { z } from 'zod';
import { CHANNEL, SESSIONS_CHANNEL } from '../people/channels.ts';

/** Called when something was committed in the shop, or may have been. */
type Wake = () => void;

declare module 'fastify' {
  interface FastifyInstance {
    /** Calls back whenever any server process committed something in this shop, and when that may have been missed. Returns how to stop. */
    onCommit: (shopId: string, wake: Wake) => () => void;
    /** The same of sessions of this shop: one has ended, or has another holder. */
    onSessions: (shopId: string, wake: Wake) => () => void;
  }
}

interface Ear {
  readonly shopId: string;
  readonly wake: Wake;
}

const RETRY_MS = 1000;
const announcement = z.object({ shopId: z.string() });

/** Hears PostgreSQL's NOTIFY on a connection of its own, and comes back by itself when the database does. */
export const feed = fp(async (app: FastifyInstance, { databaseUrl }: { databaseUrl: string }) => {
  const ears = { [CHANNEL]: new Set<Ear>(), [SESSIONS_CHANNEL]: new Set<Ear>() };
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
    next.on('notification', ({ channel, payload }) => {
      const told = announcement.safeParse(JSON.parse(payload ?? 'null'));
      if (channel === SESSIONS_CHANNEL) app.sessions.forget();
      if (told.success) for (const { shopId, wake } of ears[channel as keyof typeof ears] ?? []) if (shopId === told.data.shopId) wake();
    });
    try {
      await next.connect();
      for (const channel of Object.keys(ears)) await next.query(`LISTEN ${channel}`);
      client = next;
      // What was committed while nobody listened was announced to nobody.
      app.sessions.forget();
      for (const each of Object.values(ears)) for (const { wake } of each) wake();
    } catch (error) {
      app.log.warn({ error }, 'no ear on the database yet');
      next.end().catch(() => undefined);
      again();
    }
  };

  const hearing = (ear: Set<Ear>) => (shopId: string, wake: Wake) => {
    const mine = { shopId, wake };
    ear.add(mine);
    return () => ear.delete(mine);
  };
  app.decorate('onCommit', hearing(ears[CHANNEL]));
  app.decorate('onSessions', hearing(ears[SESSIONS_CHANNEL]));
  await connect();
  app.addHook('onClose', async () => {
    stopped = true;
    clearTimeout(retry);
    await client?.end().catch(() => undefined);
  });
});
