import { PERSON_HEADER } from '@patient-badger/contract';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { people, shops } from './entities.ts';

export interface Actor {
  readonly personId: string;
  readonly shopId: string;
}

declare module 'fastify' {
  interface FastifyContextConfig {
    /** Answers without the record of any shop: no look-up for it. */
    shopless?: boolean;
  }
  interface FastifyRequest {
    /** Who asks; reading is open to everybody in the shop, writing needs a name. */
    actor: Actor | null;
    /** Whose rows are read: the shop of who asks, or the one shop of this installation until sign-in comes. */
    shopId: string;
  }
}

const KNOWN_MS = 10_000;
const MOST_KNOWN = 1000;

/** Resolves who is asking, in one place, before any route runs. */
export const actor = fp(async (app: FastifyInstance, { dataSource }: { dataSource: DataSource }) => {
  let installed: string | undefined;
  const oneShop = async () => (installed ??= (await dataSource.getRepository(shops).find({ take: 1, order: { id: 'ASC' } }))[0]?.id) ?? '';
  /** Who works here hardly ever changes: asked for again after a while, not with every note. */
  const known = new Map<string, { readonly actor: Actor; readonly until: number }>();
  const actorOf = async (id: string): Promise<Actor | null> => {
    const before = known.get(id);
    if (before && before.until > Date.now()) return before.actor;
    const person = await dataSource.getRepository(people).findOneBy({ id });
    if (!person) return null;
    const found = { personId: person.id, shopId: person.shopId };
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(id, { actor: found, until: Date.now() + KNOWN_MS });
    return found;
  };
  app.decorateRequest('actor', null);
  app.decorateRequest('shopId', '');
  app.addHook('onRequest', async (request) => {
    const given = request.headers[PERSON_HEADER];
    if (typeof given !== 'string' || given === '') {
      const { url, config } = request.routeOptions;
      if (url?.startsWith('/api/') && !config.shopless) request.shopId = await oneShop();
      return;
    }
    request.actor = await actorOf(given);
    if (!request.actor) throw new ServerProblem('unknownPerson');
    request.shopId = request.actor.shopId;
  });
});

/** For routes that write. */
export function needActor(request: FastifyRequest): Actor {
  if (!request.actor) throw new ServerProblem('unknownPerson');
  return request.actor;
}
