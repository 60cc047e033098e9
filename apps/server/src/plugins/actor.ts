import { PERSON_HEADER } from '@patient-badger/contract';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { people } from '../entities/index.ts';
import { ServerProblem } from '../problems.ts';

export interface Actor {
  readonly personId: string;
  readonly shopId: string;
}

declare module 'fastify' {
  interface FastifyRequest {
    /** Who asks; reading is open to everybody in the shop, writing needs a name. */
    actor: Actor | null;
  }
}

/** The one shop of this installation until sign-in comes; every row carries it already. */
export const THE_SHOP = 'skarrow';

/** Resolves who is asking, in one place, before any route runs. */
export const actor = fp(async (app: FastifyInstance, { dataSource }: { dataSource: DataSource }) => {
  app.decorateRequest('actor', null);
  app.addHook('onRequest', async (request) => {
    const given = request.headers[PERSON_HEADER];
    if (typeof given !== 'string' || given === '') return;
    const person = await dataSource.getRepository(people).findOneBy({ id: given });
    if (!person) throw new ServerProblem('unknownPerson');
    request.actor = { personId: person.id, shopId: person.shopId };
  });
});

/** For routes that write. */
export function needActor(request: FastifyRequest): Actor {
  if (!request.actor) throw new ServerProblem('unknownPerson');
  return request.actor;
}

export const shopOf = (request: FastifyRequest): string => request.actor?.shopId ?? THE_SHOP;
