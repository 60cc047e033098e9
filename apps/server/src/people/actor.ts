import { PERSON_HEADER, type Role } from '@patient-badger/contract';
import cookie from '@fastify/cookie';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { createSessions, SESSION_SECONDS, type Session, type Sessions } from './sessions.ts';
import { ServerProblem } from '../problems.ts';

export interface Actor {
  readonly personId: string;
  readonly shopId: string;
  readonly role: Role;
  /** Has the device at this moment; others who have shown on it that it is them may still send what they wrote. */
  readonly hasDevice: boolean;
}

declare module 'fastify' {
  interface FastifyContextConfig {
    /** Answers whoever asks: nothing of any shop is in it. */
    open?: boolean;
  }
  interface FastifyInstance {
    sessions: Sessions;
  }
  interface FastifyRequest {
    /** Who asks; null on the few routes that answer whoever asks. */
    actor: Actor | null;
    session: Session | null;
    /** Whose rows are read and written: those of the shop in which this device is signed in. */
    shopId: string;
  }
}

/** Over TLS a name that browsers tie to this host and to TLS; plain HTTP cannot have it. */
const COOKIE = 'badger';
const COOKIE_OVER_TLS = '__Host-badger';

/** Resolves who is asking, in one place, before any route runs. No route under /api but the open ones answers without a session. */
export const actor = fp(async (app: FastifyInstance, { dataSource }: { dataSource: DataSource }) => {
  await app.register(cookie);
  const sessions = createSessions(dataSource);
  app.decorate('sessions', sessions);
  app.decorateRequest('actor', null);
  app.decorateRequest('session', null);
  app.decorateRequest('shopId', '');
  app.addHook('onRequest', async (request) => {
    const { url, config } = request.routeOptions;
    if (!url?.startsWith('/api/')) return;
    refuseOtherOrigins(request);
    const token = tokenOf(request);
    request.session = token ? await sessions.find(token) : null;
    if (!request.session) {
      if (config.open) return;
      throw new ServerProblem('signInFirst');
    }
    request.shopId = request.session.shopId;
    request.actor = actorOf(request.session, request.headers[PERSON_HEADER]);
  });
});

/** The token that the browser showed, if it showed one. */
export const tokenOf = ({ cookies, protocol }: FastifyRequest): string | undefined =>
  cookies[protocol === 'https' ? COOKIE_OVER_TLS : COOKIE];

function actorOf({ shopId, activeId, proven }: Session, given: string | string[] | undefined): Actor {
  const personId = typeof given === 'string' && given !== '' ? given : activeId;
  const role = proven.get(personId);
  if (role === undefined) throw new ServerProblem('confirmWho');
  return { shopId, personId, role, hasDevice: personId === activeId };
}

/**
 * A page of somebody else's can make a browser send what it likes. Browsers say where a request comes from;
 * what is no browser has no cookie of ours. Beside SameSite, for browsers that do not know that.
 */
function refuseOtherOrigins({ headers, host }: FastifyRequest): void {
  const { origin } = headers;
  const site = headers['sec-fetch-site'];
  const foreign =
    (typeof site === 'string' && !['same-origin', 'none'].includes(site)) || (origin !== undefined && hostOf(origin) !== host);
  if (foreign) throw new ServerProblem('otherOrigin');
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** Hands the token to the browser, which shows it to no script. */
export function giveCookie(request: FastifyRequest, reply: FastifyReply, token: string): void {
  const secure = request.protocol === 'https';
  reply.setCookie(secure ? COOKIE_OVER_TLS : COOKIE, token, {
    ...{ path: '/', httpOnly: true, sameSite: 'strict', secure, maxAge: SESSION_SECONDS },
  });
}

export function takeCookie(reply: FastifyReply): void {
  for (const name of [COOKIE, COOKIE_OVER_TLS]) reply.clearCookie(name, { path: '/', secure: name === COOKIE_OVER_TLS });
}

/** For routes that write. */
export function needActor({ actor }: FastifyRequest): Actor {
  if (!actor) throw new ServerProblem('signInFirst');
  return actor;
}

/** For the settings of the shop, and everything that goes beyond one machine or job. */
export function needOwner(request: FastifyRequest): Actor {
  const actor = needActor(request);
  if (actor.role !== 'owner' || !actor.hasDevice) throw new ServerProblem('ownersOnly');
  return actor;
}

export function needSession({ session }: FastifyRequest): Session {
  if (!session) throw new ServerProblem('signInFirst');
  return session;
}
