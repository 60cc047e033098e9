import { randomUUID } from 'node:crypto';
import {
  AUDIT_A_PAGE,
  auditPage,
  auditQuery,
  personChange,
  personDraft,
  secretChange,
  signedInDevice,
  type AuditLine,
  type SignedInDevice,
} from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { z } from 'zod';
import { defined, retiring } from '../defined.ts';
import { ServerProblem } from '../problems.ts';
import { needActor, needOwner, needSession, takeCookie } from '../people/actor.ts';
import { people, shops } from '../people/entities.ts';
import { writeAudit } from '../people/audit.ts';
import { provePassphrase } from '../people/proof.ts';
import { hashSecret, refuseWeakPassphrase, refuseWeakPin } from '../people/secrets.ts';
import { endSession, endSessionsOf } from '../people/sessions.ts';

const made = z.object({ id: z.string() });
const done = z.object({ done: z.literal(true) });
const DONE = { done: true } as const;

/** People added, renamed and retired by an owner; everybody's own passphrase, PIN and devices; who changed what. */
export const peopleRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.post('/api/people', { schema: { body: personDraft, response: { 200: made } } }, async (request) => {
    const { shopId, personId } = needOwner(request);
    const { passphrase: given, ...draft } = request.body;
    await refuseWeak(dataSource.manager, { shopId, name: draft.name, passphrase: given });
    const passphrase = await hashSecret(given);
    const id = randomUUID();
    await dataSource.transaction(async (manager) => {
      await refuseTakenName(manager, { shopId, name: draft.name, id });
      await manager.insert(people, { ...draft, id, shopId, passphrase, vouchedSince: new Date() });
      await writeAudit(manager, { shopId, by: personId, what: 'personAdded', about: draft.name, after: draft });
    });
    return { id };
  });

  app.post('/api/people/change', { schema: { body: personChange, response: { 200: made } } }, async (request) => {
    const { shopId, personId } = needOwner(request);
    const { id, passphrase: given, retired, ...change } = request.body;
    if (given !== undefined) await refuseWeak(dataSource.manager, { shopId, name: change.name ?? '', passphrase: given });
    const passphrase = given === undefined ? undefined : await hashSecret(given);
    await dataSource.transaction(async (manager) => {
      const before = await manager.findOneBy(people, { id, shopId });
      if (!before) throw new ServerProblem('unknownPerson', { path: 'id' });
      if (change.name !== undefined) await refuseTakenName(manager, { shopId, name: change.name, id });
      const told = { ...defined(change), ...retiring(retired, before) };
      const secrets = passphrase === undefined ? {} : { passphrase, pin: null };
      // From now on it may be somebody else: such a person is no fresh pair of eyes on what is under way.
      const vouched = passphrase !== undefined || (retired === false && before.retiredAt) ? { vouchedSince: new Date() } : {};
      const after = { ...told, ...secrets, ...vouched };
      if (Object.keys(after).length > 0) await manager.update(people, { id, shopId }, after);
      await refuseWithoutOwner(manager, shopId);
      if (retired === true || passphrase !== undefined) await endSessionsOf(manager, { shopId, personId: id });
      await writeAudit(manager, {
        shopId,
        by: personId,
        about: before.name,
        before,
        what: passphrase === undefined ? 'personChanged' : 'passphraseReset',
        after: { ...before, ...told },
      });
    });
    app.sessions.forget();
    return { id };
  });

  const own = { schema: { body: secretChange, response: { 200: done } }, config: { rateLimit: { max: 20, timeWindow: '1 minute' } } };
  app.post('/api/me/secret', own, async (request) => {
    const session = needSession(request);
    const { shopId, personId: id } = needActor(request);
    const { passphrase, newPassphrase, newPin } = request.body;
    if (!(await provePassphrase(dataSource, { shopId, personId: id, signerId: session.personId, given: passphrase })))
      throw new ServerProblem('wrongPassphrase', { path: 'passphrase' });
    if (newPin !== undefined) refuseWeakPin(newPin);
    if (newPassphrase !== undefined) {
      const { name } = await dataSource.getRepository(people).findOneByOrFail({ id });
      await refuseWeak(dataSource.manager, { shopId, name, passphrase: newPassphrase });
    }
    const secrets = {
      ...(newPassphrase !== undefined && { passphrase: await hashSecret(newPassphrase) }),
      ...(newPin !== undefined && { pin: await hashSecret(newPin) }),
    };
    await dataSource.transaction(async (manager) => {
      if (Object.keys(secrets).length > 0) await manager.update(people, { id, shopId }, secrets);
      // Whoever had the old one is shown out, everywhere but here.
      if (newPassphrase !== undefined) await endSessionsOf(manager, { shopId, personId: id, except: session.id });
      await writeAudit(manager, { shopId, by: id, what: newPassphrase === undefined ? 'pinChanged' : 'passphraseChanged', about: id });
    });
    app.sessions.forget();
    return DONE;
  });

  app.get('/api/devices', { schema: { response: { 200: z.array(signedInDevice) } } }, async (request) => {
    const { shopId, personId, role } = needActor(request);
    const here = needSession(request).id;
    const rows = await dataSource.query<(SignedInDevice & { since: Date; lastSeen: Date })[]>(
      `SELECT id, device AS name, person_id AS "personId", began_at AS since, seen_at AS "lastSeen" FROM sessions
       WHERE shop_id = $1 AND ($2::text IS NULL OR person_id = $2 OR id = $3) AND ends_at > now() ORDER BY seen_at DESC LIMIT 200`,
      [shopId, role === 'owner' ? null : personId, here],
    );
    return rows.map((row) => ({ ...row, since: row.since.toISOString(), lastSeen: row.lastSeen.toISOString(), here: row.id === here }));
  });

  const byId = { schema: { params: z.object({ id: z.uuid() }), response: { 200: done } } };
  app.post('/api/devices/:id/sign-out', byId, async (request, reply) => {
    const { shopId, personId, role } = needActor(request);
    const { id } = request.params;
    const here = needSession(request).id;
    await dataSource.transaction(async (manager) => {
      const mine = await manager.query<unknown[]>(
        'SELECT 1 FROM sessions WHERE id = $1 AND shop_id = $2 AND ($3::text IS NULL OR person_id = $3 OR id = $4)',
        [id, shopId, role === 'owner' ? null : personId, here],
      );
      const ended = mine.length > 0 ? await endSession(manager, id) : null;
      if (!ended) throw new ServerProblem('notFound');
      await writeAudit(manager, { shopId, by: personId, what: 'deviceSignedOut', about: ended.device, before: ended });
    });
    if (id === here) takeCookie(reply);
    app.sessions.forget();
    return DONE;
  });

  app.get('/api/audit', { schema: { querystring: auditQuery, response: { 200: auditPage } } }, async (request) => {
    const { shopId } = needOwner(request);
    const rows = await dataSource.query<(Omit<AuditLine, 'id' | 'at'> & { id: string; at: Date })[]>(
      `SELECT id, "at", "by", what, about, before, after FROM audit WHERE shop_id = $1 AND ($2::bigint IS NULL OR id < $2) ORDER BY id DESC LIMIT $3`,
      [shopId, request.query.before ?? null, AUDIT_A_PAGE + 1],
    );
    const lines = rows.slice(0, AUDIT_A_PAGE).map((row) => ({ ...row, id: Number(row.id), at: row.at.toISOString() }));
    return { lines, next: rows.length > AUDIT_A_PAGE ? (lines.at(-1)?.id ?? null) : null };
  });
};

async function refuseWeak(
  manager: EntityManager,
  { shopId, name, passphrase }: { readonly shopId: string; readonly name: string; readonly passphrase: string },
): Promise<void> {
  const shop = await manager.findOneByOrFail(shops, { id: shopId });
  refuseWeakPassphrase(passphrase, [name, shop.name]);
}

async function refuseTakenName(
  manager: EntityManager,
  { shopId, name, id }: { readonly shopId: string; readonly name: string; readonly id: string },
): Promise<void> {
  const namesakes = await manager
    .createQueryBuilder(people, 'p')
    .where('p.shopId = :shopId AND lower(p.name) = lower(:name) AND p.id <> :id', { shopId, name, id })
    .getCount();
  if (namesakes > 0) throw new ServerProblem('nameTaken', { path: 'name' });
}

/** Held with the shop's row: two owners who make each other mechanics at once do not both succeed. */
async function refuseWithoutOwner(manager: EntityManager, shopId: string): Promise<void> {
  await manager.query('SELECT 1 FROM shops WHERE id = $1 FOR UPDATE', [shopId]);
  if ((await manager.countBy(people, { shopId, role: 'owner', retiredAt: IsNull() })) === 0) throw new ServerProblem('lastOwner');
}
