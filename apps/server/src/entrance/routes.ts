import { randomBytes, randomUUID } from 'node:crypto';
import { firstShop, signIn, standing, switchTo, type FirstShop, type Standing } from '@patient-badger/contract';
import type { FastifyRequest } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource, EntityManager } from 'typeorm';
import { SAMPLE } from '../demo/sample.ts';
import { insertSampleParts } from '../demo/seed.ts';
import { ServerProblem } from '../problems.ts';
import { giveCookie, giveOwnDevice, needSession, newOwnDevice, ownDeviceOf, takeCookie, tokenOf } from '../people/actor.ts';
import { people, shops } from '../people/entities.ts';
import { writeAudit } from '../people/audit.ts';
import { provePassphrase, provePin } from '../people/proof.ts';
import { hashSecret, refuseWeakPassphrase } from '../people/secrets.ts';
import { announceSessions, beginSession, digest, endSession } from '../people/sessions.ts';
import { whoSignsIn } from '../people/signIn.ts';

/** Any number that only this project's servers use: who holds it makes the first shop. */
const FIRST_SHOP_LOCK = 7_316_403;

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
    if (session) {
      const person = session.holder?.id ?? null;
      return { state: 'signedIn', person, proven: person === null ? [] : [person], sample: null };
    }
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
    const own = ownDeviceOf(request) ?? newOwnDevice();
    const token = await dataSource.transaction(async (manager) => {
      const made = await makeFirstShop(manager, body, passphrase);
      await keepOwnDevice(manager, own, made.personId);
      return made.token;
    });
    giveCookie(request, reply, token);
    giveOwnDevice(request, reply, own);
    return now(request, token);
  });

  app.post('/api/sign-in', { schema: { body: signIn, response: { 200: standing } }, config: slowly }, async (request, reply) => {
    const { name, passphrase, device } = request.body;
    const person = await whoSignsIn(dataSource, { name, passphrase, address: request.ip, ownDevice: ownDeviceOf(request) });
    if (!person) throw new ServerProblem('wrongPassphrase');
    const own = ownDeviceOf(request) ?? newOwnDevice();
    const token = await dataSource.transaction(async (manager) => {
      // The browser's session of before ends with the new one: nobody goes on by a copy of it.
      if (request.session) await endSession(manager, request.session.id);
      await keepOwnDevice(manager, own, person.id);
      return beginSession(manager, { shopId: person.shopId, personId: person.id, device });
    });
    giveCookie(request, reply, token);
    giveOwnDevice(request, reply, own);
    return now(request, token);
  });

  app.post('/api/sign-out', { schema: { response: { 200: standing } }, config: open }, async (request, reply) => {
    if (request.session) await endSession(dataSource.manager, request.session.id);
    takeCookie(reply);
    app.sessions.forget();
    request.session = null;
    return standingOf(request);
  });

  /** The device was put down, or somebody took it without a connection: nobody holds it until they have given their PIN. */
  app.post('/api/put-down', { schema: { response: { 200: standing } } }, async (request) => {
    const { id, shopId } = needSession(request);
    await dataSource.query('UPDATE sessions SET active_id = NULL WHERE id = $1', [id]);
    await announceSessions(dataSource.manager, shopId);
    return now(request, tokenOf(request) ?? '');
  });

  const switching = { schema: { body: switchTo, response: { 200: standing } }, config: { rateLimit: slowly.rateLimit } };
  app.post('/api/switch', switching, async (request, reply) => {
    const { id, shopId, personId: signerId } = needSession(request);
    const { person, pin, passphrase, signs = [] } = request.body;
    if (!(await dataSource.getRepository(people).existsBy({ id: person, shopId }))) throw new ServerProblem('unknownPerson');
    const tried = { shopId, personId: person, signerId };
    if (passphrase !== undefined) {
      if (!(await provePassphrase(dataSource, { ...tried, given: passphrase }))) throw new ServerProblem('wrongPassphrase');
    } else if (!(await provePin(dataSource, { ...tried, given: pin ?? '' }))) throw new ServerProblem('wrongPin');
    const own = passphrase === undefined ? null : (ownDeviceOf(request) ?? newOwnDevice());
    if (own !== null) giveOwnDevice(request, reply, own);
    await dataSource.transaction(async (manager) => {
      if (own !== null) await keepOwnDevice(manager, own, person);
      await manager.query('UPDATE sessions SET active_id = $2 WHERE id = $1', [id, person]);
      // What is signed is signed by this PIN, at this moment, and by no later one.
      for (const entry of signs)
        await manager.query('INSERT INTO signatures (entry_id, person_id, shop_id) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [
          entry,
          person,
          shopId,
        ]);
      await announceSessions(manager, shopId);
    });
    return now(request, tokenOf(request) ?? '');
  });
};

/** This person gave their passphrase in this browser. */
const keepOwnDevice = (manager: EntityManager, token: string, personId: string): Promise<unknown> =>
  manager.query(
    'INSERT INTO own_devices (token, person_id) VALUES ($1, $2) ON CONFLICT (token, person_id) DO UPDATE SET failed = 0, last_at = now()',
    [digest(token), personId],
  );

async function makeFirstShop(
  manager: EntityManager,
  { shop, owner, withSampleParts, device }: FirstShop,
  passphrase: string,
): Promise<{ readonly token: string; readonly personId: string }> {
  await manager.query('SELECT pg_advisory_xact_lock($1)', [FIRST_SHOP_LOCK]);
  if ((await manager.count(shops)) > 0) throw new ServerProblem('shopThere');
  const shopId = randomUUID();
  const personId = randomUUID();
  await manager.insert(shops, { ...shop, id: shopId });
  await manager.insert(people, { id: personId, shopId, name: owner.name, about: '', role: 'owner', passphrase });
  if (withSampleParts) await insertSampleParts(manager, shopId);
  await writeAudit(manager, { shopId, by: personId, what: 'shopMade', about: shop.name, after: shop });
  return { token: await beginSession(manager, { shopId, personId, device }), personId };
}
