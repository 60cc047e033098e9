import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Role } from '@patient-badger/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { isDatabaseAway } from '../plugins/databaseErrors.ts';

/** A device that is signed in: by whom, who has it now, and who has shown on it that it is them. */
export interface Session {
  readonly id: string;
  readonly shopId: string;
  readonly personId: string;
  readonly activeId: string;
  readonly proven: ReadonlyMap<string, Role>;
}

/** A device is asked for the passphrase again after so long. */
const DAYS = 30;
export const SESSION_SECONDS = DAYS * 86_400;
/** Who is signed in hardly ever changes: asked for again after a while, not with every note. */
const KNOWN_MS = 10_000;
const MOST_KNOWN = 2000;
const TRIES = 3;

const digest = (token: string) => createHash('sha256').update(token).digest();

export type Sessions = ReturnType<typeof createSessions>;

/**
 * Sessions in the database under the hash of their token: who reads the database can use none of them.
 * What another server process ends is known here within ten seconds.
 */
export function createSessions(dataSource: DataSource) {
  const known = new Map<string, { readonly session: Session; readonly until: number }>();

  const read = async (token: string): Promise<Session | null> => {
    const [row] = await dataSource.query<(Omit<Session, 'proven'> & { proven: { id: string; role: Role }[] | null })[]>(
      `SELECT s.id, s.shop_id AS "shopId", s.person_id AS "personId", s.active_id AS "activeId",
         (SELECT json_agg(json_build_object('id', p.id, 'role', p.role)) FROM session_people sp JOIN people p ON p.id = sp.person_id
          WHERE sp.session_id = s.id AND sp.proven AND p.retired_at IS NULL) AS proven
       FROM sessions s WHERE token = $1 AND ends_at > now()`,
      [digest(token)],
    );
    if (!row) return null;
    // When a device was last there is good to know, and no reason to turn it away from a record that takes nothing in.
    dataSource.query('UPDATE sessions SET seen_at = now() WHERE id = $1', [row.id]).catch(() => undefined);
    return { ...row, proven: new Map((row.proven ?? []).map(({ id, role }) => [id, role])) };
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
      if (!session) known.delete(key);
      if (!session?.proven.has(session.activeId)) return null;
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(key, { session, until: Date.now() + KNOWN_MS });
      return session;
    },
    /** What is remembered of who is signed in is asked for anew. */
    forget: () => known.clear(),
  };
}

interface Begun {
  readonly shopId: string;
  readonly personId: string;
  readonly device: string;
}

/** A new session; its token is told once and kept by nobody here. */
export async function beginSession(manager: EntityManager, { shopId, personId, device }: Begun): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const id = randomUUID();
  await manager.query('DELETE FROM sessions WHERE ends_at <= now()');
  await manager.query(
    `INSERT INTO sessions (id, token, shop_id, person_id, active_id, device, ends_at) VALUES ($1, $2, $3, $4, $4, $5, now() + $6 * interval '1 day')`,
    [id, digest(token), shopId, personId, device, DAYS],
  );
  await manager.query('INSERT INTO session_people (session_id, person_id, proven) VALUES ($1, $2, true)', [id, personId]);
  return token;
}

/** Everything that somebody had signed in, and every device on which they had shown who they are, but the one given. */
export async function endSessionsOf(
  manager: EntityManager,
  personId: string,
  except = '00000000-0000-0000-0000-000000000000',
): Promise<void> {
  await manager.query('DELETE FROM sessions WHERE person_id = $1 AND id <> $2', [personId, except]);
  await manager.query('UPDATE sessions SET active_id = person_id WHERE active_id = $1 AND id <> $2', [personId, except]);
  await manager.query('DELETE FROM session_people WHERE person_id = $1 AND session_id <> $2', [personId, except]);
}
