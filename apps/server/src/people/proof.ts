import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { isSecret } from './secrets.ts';

/** Wrong passphrases in a row before anybody has to wait, and how long then: twice as long each time. */
const FREE_TRIES = 5;
const FIRST_WAIT_S = 60;
const LONGEST_WAIT_S = 3600;
/** Wrong PINs on one device before it takes the passphrase only. */
export const PIN_TRIES = 5;

/**
 * Whether this is the passphrase of this person. Each try is counted before it is made, in the database:
 * guesses at once are all counted, and several servers, or one that starts again, know of them.
 * @throws ServerProblem `lockedOut`
 */
export async function provePassphrase({ manager }: DataSource, personId: string | null, given: string): Promise<boolean> {
  const [[tried]] = await manager.query<[{ passphrase: string | null }[], number]>(
    `UPDATE people SET failed = failed + 1,
       locked_until = CASE WHEN failed + 1 < $2 THEN NULL
         ELSE now() + least($4, $3 * power(2, least(failed + 1 - $2, 12))) * interval '1 second' END
     WHERE id = $1 AND retired_at IS NULL AND (locked_until IS NULL OR locked_until <= now()) RETURNING passphrase`,
    [personId, FREE_TRIES, FIRST_WAIT_S, LONGEST_WAIT_S],
  );
  // Somebody who is not there takes as long as a wrong passphrase.
  const right = await isSecret(tried?.passphrase, given);
  if (!tried && (await isLocked(manager, personId))) throw new ServerProblem('lockedOut');
  if (right) await manager.query('UPDATE people SET failed = 0, locked_until = NULL WHERE id = $1', [personId]);
  return right;
}

async function isLocked(manager: EntityManager, personId: string | null): Promise<boolean> {
  const rows = await manager.query<unknown[]>('SELECT 1 FROM people WHERE id = $1 AND locked_until > now()', [personId]);
  return rows.length > 0;
}

/**
 * Whether this is the PIN of this person, on this device.
 * @throws ServerProblem `pinSpent` after five wrong ones: the passphrase opens it again
 */
export async function provePin(
  { manager }: DataSource,
  { sessionId, personId, given }: { readonly sessionId: string; readonly personId: string; readonly given: string },
): Promise<boolean> {
  // The try is counted before it is made, so that guesses at once are counted too.
  const [tried] = await manager.query<{ failed: number }[]>(
    `INSERT INTO session_people (session_id, person_id, failed) VALUES ($1, $2, 1)
     ON CONFLICT (session_id, person_id) DO UPDATE SET failed = session_people.failed + 1 RETURNING failed`,
    [sessionId, personId],
  );
  if ((tried?.failed ?? 1) > PIN_TRIES) throw new ServerProblem('pinSpent');
  const [person] = await manager.query<{ pin: string | null }[]>('SELECT pin FROM people WHERE id = $1 AND retired_at IS NULL', [personId]);
  return isSecret(person?.pin, given);
}
