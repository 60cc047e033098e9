import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Role } from '@patient-badger/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { isDatabaseAway } from '../plugins/databaseErrors.ts';
import { SESSIONS_CHANNEL } from './channels.ts';

/** A device that is signed in: by whom, and who holds it since their own PIN or passphrase; null since it was put down. */
export interface Session {
  readonly id: string;
  readonly shopId: string;
  /** Who signed it in. */
  readonly personId: string;
  readonly device: string;
  readonly holder: { readonly id: string; readonly role: Role } | null;
}

/** A device is asked for the passphrase again after so long. */
const DAYS = 30;
export const SESSION_SECONDS = DAYS * 86_400;
/** Who is signed in hardly ever changes: asked for again after a while, not with every note. */
const KNOWN_MS = 10_000;
const MOST_KNOWN = 2000;
const TRIES = 3;

/** What stands in the database of a token: who reads it there can use none. */
export const digest = (token: string) => createHash('sha256').update(token).digest();

export type Sessions = ReturnType<typeof createSessions>;

/**
 * Sessions in the database under the hash of their token. What another server process ends is known here at once by the
 * announcement, and within ten seconds where that was missed.
 */
export function createSessions(dataSource: DataSource) {
  const known = new Map<string, { readonly session: Session; readonly until: number }>();

  const read = async (token: string): Promise<Session | null> => {
    const [row] = await dataSource.query<(Omit<Session, 'holder'> & { holderId: string | null; role: Role | null })[]>(
      `SELECT s.id, s.shop_id AS "shopId", s.person_id AS "personId", s.device, h.id AS "holderId", h.role
       FROM sessions s JOIN people p ON p.id = s.person_id AND p.retired_at IS NULL
       LEFT JOIN people h ON h.id = s.active_id AND h.retired_at IS NULL WHERE s.token = $1 AND s.ends_at > now()`,
      [digest(token)],
    );
    if (!row) return null;
    // When a device was last there is good to know, and no reason to turn it away from a record that takes nothing in.
    dataSource.query('UPDATE sessions SET seen_at = now() WHERE id = $1', [row.id]).catch(() => undefined);
    const { holderId, role, ...session } = row;
    return { ...session, holder: holderId !== null && role !== null ? { id: holderId, role } : null };
  };

  /** Connections that were cut while nobody used them are found out by using them: a question that changes nothing is asked again. */
  const readAgain = async (token: string, tries = TRIES): Promise<Session | null> => {
    try {
      return await read(token);
    } catch (error) {
      if (tries <= 1 || !isDatabaseAway(error)) throw error;
      return readAgain(token, tries - 1);
    }
  };

  return {
    async find(token: string): Promise<Session | null> {
      const key = digest(token).toString('base64');
      const before = known.get(key);
      if (before && before.until > Date.now()) return before.session;
      const session = await readAgain(token);
      known.delete(key);
      if (!session) return null;
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(key, { session, until: Date.now() + KNOWN_MS });
      return session;
    },
    /** What is remembered of who is signed in is asked for anew. */
    forget: () => known.clear(),
  };
}

interface Beginning {
  readonly shopId: string;
  readonly personId: string;
  readonly device: string;
}

/** A new session; its token is told once and kept by nobody here. */
export async function beginSession(manager: EntityManager, { shopId, personId, device }: Beginning): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await manager.query('DELETE FROM sessions WHERE ends_at <= now()');
  await manager.query(
    `INSERT INTO sessions (id, token, shop_id, person_id, active_id, device, ends_at) VALUES ($1, $2, $3, $4, $4, $5, now() + $6 * interval '1 day')`,
    [randomUUID(), digest(token), shopId, personId, device, DAYS],
  );
  return token;
}

/** Tells every server process that a session has ended or has another holder, so that none goes by what it remembers. */
export const announceSessions = (manager: Pick<EntityManager, 'query'>, shopId: string): Promise<unknown> =>
  manager.query('SELECT pg_notify($1, $2)', [SESSIONS_CHANNEL, JSON.stringify({ shopId })]);

/** Ends one session. Null where there is none of that id that this person may end. */
export async function endSession(
  manager: EntityManager,
  id: string,
): Promise<{ readonly personId: string; readonly device: string; readonly shopId: string } | null> {
  const [[ended]] = await manager.query<[{ personId: string; device: string; shopId: string }[], number]>(
    'DELETE FROM sessions WHERE id = $1 RETURNING person_id AS "personId", device, shop_id AS "shopId"',
    [id],
  );
  if (ended) await announceSessions(manager, ended.shopId);
  return ended ?? null;
}

/** Everything that somebody had signed in but the one given; where they hold a device of somebody else's, nobody holds it. */
export async function endSessionsOf(
  manager: EntityManager,
  {
    shopId,
    personId,
    except = '00000000-0000-0000-0000-000000000000',
  }: { readonly shopId: string; readonly personId: string; readonly except?: string },
): Promise<void> {
  await manager.query('DELETE FROM sessions WHERE person_id = $1 AND id <> $2', [personId, except]);
  await manager.query('UPDATE sessions SET active_id = NULL WHERE active_id = $1 AND id <> $2', [personId, except]);
  await announceSessions(manager, shopId);
}
