import { randomBytes } from 'node:crypto';
import { isIP } from 'node:net';
import { hostname } from 'node:os';
import { PERSON_HEADER, type Role } from '@patient-badger/contract';
import cookie from '@fastify/cookie';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import type { Config } from '../config.ts';
import { createSessions, SESSION_SECONDS, type Session, type Sessions } from './sessions.ts';
import { ServerProblem } from '../problems.ts';

export interface Actor {
  readonly personId: string;
  readonly shopId: string;
  readonly role: Role;
  /** What the device is called. */
  readonly device: string;
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
    /** Who holds the device; null where nobody does since it was put down, and on the few routes that answer whoever asks. */
    actor: Actor | null;
    session: Session | null;
    /** Whose rows are read and written: those of the shop in which this device is signed in. */
    shopId: string;
  }
}

/** Over TLS a name that browsers tie to this host and to TLS; plain HTTP cannot have it. */
const COOKIE = 'badger';
const overTls = (name: string, protocol: string) => (protocol === 'https' ? `__Host-${name}` : name);

/** Resolves who is asking, in one place, before any route runs. No route under /api but the open ones answers without a session. */
export const actor = fp(async (app: FastifyInstance, { dataSource, config }: { dataSource: DataSource; config: Config }) => {
  const isOwnName = ownNames(config);
  const publicOrigin = config.PUBLIC_ADDRESS === undefined ? null : new URL(config.PUBLIC_ADDRESS).origin;
  await app.register(cookie);
  const sessions = createSessions(dataSource);
  app.decorate('sessions', sessions);
  app.decorateRequest('actor', null);
  app.decorateRequest('session', null);
  app.decorateRequest('shopId', '');
  app.addHook('onRequest', async (request) => {
    const { url, config } = request.routeOptions;
    if (!url?.startsWith('/api/')) return;
    refuseOtherOrigins(request, isOwnName, publicOrigin);
    const token = tokenOf(request);
    request.session = token ? await sessions.find(token) : null;
    if (!request.session) {
      if (config.open) return;
      throw new ServerProblem('signInFirst');
    }
    request.shopId = request.session.shopId;
    request.actor = holderOf(request.session, request.headers[PERSON_HEADER]);
  });
});

/** The token that the browser showed, if it showed one. */
export const tokenOf = ({ cookies, protocol }: FastifyRequest): string | undefined => cookies[overTls(COOKIE, protocol)];

/** Nobody writes or asks under a name but who holds the device since their own PIN. */
function holderOf({ shopId, holder, device }: Session, given: string | string[] | undefined): Actor | null {
  if (given !== undefined && given !== '' && given !== holder?.id) throw new ServerProblem('confirmWho');
  return holder && { shopId, personId: holder.id, role: holder.role, device };
}

/**
 * A page of somebody else's can make a browser send what it likes. Browsers say where a request comes from;
 * what is no browser has no cookie of ours. Beside SameSite, for browsers that do not know that.
 */
function refuseOtherOrigins(
  { headers, host, protocol }: FastifyRequest,
  isOwnName: (name: string) => boolean,
  publicOrigin: string | null,
): void {
  const { origin } = headers;
  const site = headers['sec-fetch-site'];
  const foreign =
    (typeof site === 'string' && !['same-origin', 'none'].includes(site)) ||
    (origin !== undefined && origin !== publicOrigin && originOf(origin) !== `${protocol}://${host}`);
  // A name of somebody else's that leads here would make their page one of ours (DNS rebinding).
  if (foreign || !isOwnName(host)) throw new ServerProblem('otherOrigin');
}

/**
 * By which names this server may be called: by address, as this computer, by the names that were set. Any other name
 * in `Host` is somebody else's.
 */
export function ownNames({ PUBLIC_ADDRESS, HOST, ALLOWED_HOSTS = '' }: Pick<Config, 'PUBLIC_ADDRESS' | 'HOST' | 'ALLOWED_HOSTS'>) {
  const mine = hostname().toLowerCase();
  const known = new Set(
    [
      'localhost',
      HOST,
      mine,
      `${mine}.local`,
      `${mine}.lan`,
      `${mine}.home`,
      PUBLIC_ADDRESS && new URL(PUBLIC_ADDRESS).hostname,
      ...ALLOWED_HOSTS.split(','),
    ].map((each) => each?.trim().toLowerCase()),
  );
  return (host: string): boolean => {
    const name = host
      .toLowerCase()
      .replace(/:\d+$/, '')
      .replace(/^\[|\]$/g, '');
    return isIP(name) > 0 || known.has(name);
  };
}

function originOf(given: string): string | null {
  try {
    return new URL(given).origin;
  } catch {
    return null;
  }
}

/** Hands the token to the browser, which shows it to no script. */
export const giveCookie = (request: FastifyRequest, reply: FastifyReply, token: string): void =>
  setCookie(request, reply, { name: COOKIE, value: token, seconds: SESSION_SECONDS });

/** A browser on which somebody once gave their passphrase: wrong tries elsewhere do not keep them out of it. */
const OWN_DEVICE = 'badger-device';
const OWN_DEVICE_SECONDS = 400 * 86_400;

export const ownDeviceOf = ({ cookies, protocol }: FastifyRequest): string | undefined => cookies[overTls(OWN_DEVICE, protocol)];

export const newOwnDevice = () => randomBytes(32).toString('base64url');

/** Hands the browser what tells it from others. */
export const giveOwnDevice = (request: FastifyRequest, reply: FastifyReply, value: string): void =>
  setCookie(request, reply, { name: OWN_DEVICE, value, seconds: OWN_DEVICE_SECONDS });

interface CookieToSet {
  readonly name: string;
  readonly value: string;
  readonly seconds: number;
}

function setCookie({ protocol }: FastifyRequest, reply: FastifyReply, { name, value, seconds }: CookieToSet): void {
  const secure = protocol === 'https';
  reply.setCookie(overTls(name, protocol), value, { path: '/', httpOnly: true, sameSite: 'strict', secure, maxAge: seconds });
}

export function takeCookie(reply: FastifyReply): void {
  for (const protocol of ['http', 'https']) reply.clearCookie(overTls(COOKIE, protocol), { path: '/', secure: protocol === 'https' });
}

/** For routes that write. */
export function needActor({ actor, session }: FastifyRequest): Actor {
  if (!actor) throw new ServerProblem(session ? 'confirmWho' : 'signInFirst');
  return actor;
}

/** For the settings of the shop, and everything that goes beyond one machine or job. */
export function needOwner(request: FastifyRequest): Actor {
  const actor = needActor(request);
  if (actor.role !== 'owner') throw new ServerProblem('ownersOnly');
  return actor;
}

export function needSession({ session }: FastifyRequest): Session {
  if (!session) throw new ServerProblem('signInFirst');
  return session;
}
