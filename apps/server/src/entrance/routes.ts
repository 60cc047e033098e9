import { randomBytes, randomUUID } from 'node:crypto';
import { firstShop, signIn, standing, switchTo, type FirstShop, type Standing } from '@patient-badger/contract';
import type { FastifyRequest } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource, EntityManager } from 'typeorm';
import { SAMPLE } from '../demo/sample.ts';
import { insertSampleParts } from '../demo/seed.ts';
import { ServerProblem } from '../problems.ts';
import { giveCookie, needSession, takeCookie, tokenOf } from '../people/actor.ts';
import { people, shops } from '../people/entities.ts';
import { writeAudit } from '../people/audit.ts';
import { provePassphrase, provePin } from '../people/proof.ts';
import { hashSecret, refuseWeakPassphrase } from '../people/secrets.ts';
import { beginSession } from '../people/sessions.ts';

/** Any number that only this project's servers use: who holds it makes the first shop. */
const FIRST_SHOP_LOCK = 7_316_403;
/** Shops that a database may hold of people of one name: each costs a try. */
const MOST_NAMESAKES = 5;

interface Options {
  readonly dataSource: DataSource;
  /** The made-up shop tells how to get in. */
  readonly isSample: boolean;
  /** Printed at the start: who can read that may make the first shop. */
  readonly setupCode: string;
  readonly signInsPerMinute: number;
}

export const newSetupCode = () => randomBytes(5).toString('hex');

/** The first visit, signing in and out, and switching to somebody else on a device that is signed in. */
export const signInRoutes: FastifyPluginAsyncZod<Options> = async (app, { dataSource, isSample, setupCode, signInsPerMinute }) => {
  const slowly = { open: true, rateLimit: { max: signInsPerMinute, timeWindow: '1 minute' } };
  const open = { open: true };
  const standingOf = async (request: FastifyRequest): Promise<Standing> => {
    const { session } = request;
    if (session) return { state: 'signedIn', person: session.activeId, proven: [...session.proven.keys()], sample: null };
    const out = { person: null, proven: [] };
    if ((await dataSource.getRepository(shops).count()) === 0) return { state: 'first', ...out, sample: null };
    return { state: 'signIn', ...out, sample: isSample ? SAMPLE : null };
  };
  const now = async (request: FastifyRequest, token: string): Promise<Standing> => {
    app.sessions.forget();
    request.session = await app.sessions.find(token);
    return standingOf(request);
  };

  app.get('/api/standing', { schema: { response: { 200: standing } }, config: open }, async (request) => standingOf(request));

  app.post('/api/first-shop', { schema: { body: firstShop, response: { 200: standing } }, config: slowly }, async (request, reply) => {
    const { body } = request;
    if (body.code !== setupCode) throw new ServerProblem('wrongCode', { path: 'code' });
    refuseWeakPassphrase(body.owner.passphrase, [body.owner.name, body.shop.name]);
    const passphrase = await hashSecret(body.owner.passphrase);
    const token = await dataSource.transaction((manager) => makeFirstShop(manager, body, passphrase));
    giveCookie(request, reply, token);
    return now(request, token);
  });

  app.post('/api/sign-in', { schema: { body: signIn, response: { 200: standing } }, config: slowly }, async (request, reply) => {
    const { name, passphrase, device } = request.body;
    const named = await dataSource
      .getRepository(people)
      .createQueryBuilder('p')
      .where('lower(p.name) = lower(:name) AND p.retired_at IS NULL', { name })
      .limit(MOST_NAMESAKES)
      .getMany();
    for (const person of named.length > 0 ? named : [null]) {
      if (!(await provePassphrase(dataSource, person?.id ?? null, passphrase)) || !person) continue;
      const token = await beginSession(dataSource.manager, { shopId: person.shopId, personId: person.id, device });
      giveCookie(request, reply, token);
      return now(request, token);
    }
    throw new ServerProblem('wrongPassphrase');
  });

  app.post('/api/sign-out', { schema: { response: { 200: standing } }, config: open }, async (request, reply) => {
    if (request.session) await dataSource.query('DELETE FROM sessions WHERE id = $1', [request.session.id]);
    takeCookie(reply);
    app.sessions.forget();
    request.session = null;
    return standingOf(request);
  });

  const switching = { schema: { body: switchTo, response: { 200: standing } }, config: { rateLimit: slowly.rateLimit } };
  app.post('/api/switch', switching, async (request) => {
    const session = needSession(request);
    const { person, pin, passphrase } = request.body;
    if (!(await dataSource.getRepository(people).existsBy({ id: person, shopId: session.shopId })))
      throw new ServerProblem('unknownPerson');
    if (passphrase !== undefined) {
      if (!(await provePassphrase(dataSource, person, passphrase))) throw new ServerProblem('wrongPassphrase');
    } else if (!(await provePin(dataSource, { sessionId: session.id, personId: person, given: pin ?? '' })))
      throw new ServerProblem('wrongPin');
    await dataSource.transaction(async (manager) => {
      await manager.query(
        `INSERT INTO session_people (session_id, person_id, proven) VALUES ($1, $2, true)
         ON CONFLICT (session_id, person_id) DO UPDATE SET proven = true, failed = 0`,
        [session.id, person],
      );
      await manager.query('UPDATE sessions SET active_id = $2 WHERE id = $1', [session.id, person]);
    });
    return now(request, tokenOf(request) ?? '');
  });
};

async function makeFirstShop(
  manager: EntityManager,
  { shop, owner, withSampleParts, device }: FirstShop,
  passphrase: string,
): Promise<string> {
  await manager.query('SELECT pg_advisory_xact_lock($1)', [FIRST_SHOP_LOCK]);
  if ((await manager.count(shops)) > 0) throw new ServerProblem('shopThere');
  const shopId = randomUUID();
  const personId = randomUUID();
  await manager.insert(shops, { ...shop, id: shopId });
  await manager.insert(people, { id: personId, shopId, name: owner.name, about: '', role: 'owner', passphrase });
  if (withSampleParts) await insertSampleParts(manager, shopId);
  await writeAudit(manager, { shopId, by: personId, what: 'shopMade', about: shop.name, after: shop });
  return beginSession(manager, { shopId, personId, device });
}
