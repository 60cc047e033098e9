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

/** Resolves who is asking, in one place, before any route runs. */
export const actor = fp(async (app: FastifyInstance, { dataSource }: { dataSource: DataSource }) => {
  let installed: string | undefined;
  const oneShop = async () => (installed ??= (await dataSource.getRepository(shops).find({ take: 1, order: { id: 'ASC' } }))[0]?.id) ?? '';
  app.decorateRequest('actor', null);
  app.decorateRequest('shopId', '');
  app.addHook('onRequest', async (request) => {
    const given = request.headers[PERSON_HEADER];
    if (typeof given !== 'string' || given === '') {
      const { url, config } = request.routeOptions;
      if (url?.startsWith('/api/') && !config.shopless) request.shopId = await oneShop();
      return;
    }
    const person = await dataSource.getRepository(people).findOneBy({ id: given });
    if (!person) throw new ServerProblem('unknownPerson');
    request.actor = { personId: person.id, shopId: person.shopId };
    request.shopId = person.shopId;
  });
});

/** For routes that write. */
export function needActor(request: FastifyRequest): Actor {
  if (!request.actor) throw new ServerProblem('unknownPerson');
  return request.actor;
}
