import { t } from '@patient-badger/wording/server';
import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { writeAudit } from './audit.ts';
import { isSecret } from './secrets.ts';

/** Wrong passphrases from one place before it has to wait, and how long then: twice as long each time, and never an hour. */
export const FREE_TRIES = 5;
const FIRST_WAIT_S = 15;
const LONGEST_WAIT_S = 300;
/** SQL: how long a place has to wait after so many wrong ones. */
export const WAIT = `CASE WHEN failed < ${FREE_TRIES} THEN interval '0'
  ELSE least(${LONGEST_WAIT_S}, ${FIRST_WAIT_S} * power(2, least(failed - ${FREE_TRIES}, 12))) * interval '1 second' END`;

/** Wrong PINs of one person on the devices of one other before those take the passphrase only. */
export const PIN_TRIES = 5;
/** Wrong PINs of one person within a day, on all devices together, before none takes it. */
export const PIN_TRIES_A_DAY = 30;
const [FIRST_PAUSE_MS, LONGEST_PAUSE_MS] = [250, 4000];

/** Where a try comes from: counted apart, so that nobody shuts somebody else out. */
export interface Place {
  /** Whose passphrase is tried: a name, or an id that no name can be. */
  readonly name: string;
  readonly source: string;
}

/** Counts a try before it is made, so that guesses at once are all counted. False where the place has to wait. */
export async function countTry({ manager }: DataSource, { name, source }: Place): Promise<boolean> {
  await manager.query(`DELETE FROM sign_in_tries WHERE last_at < now() - interval '1 day'`);
  const rows = await manager.query<unknown[]>(
    `INSERT INTO sign_in_tries AS t (name, source, failed) VALUES ($1, $2, 1)
     ON CONFLICT (name, source) DO UPDATE SET failed = t.failed + 1, last_at = now() WHERE t.last_at <= now() - (${WAIT.replaceAll('failed', 't.failed')})
     RETURNING failed`,
    [name, source],
  );
  return rows.length > 0;
}

/** It was right: what the place had wrong before is forgotten. */
export const settleTries = ({ manager }: DataSource, { name, source }: Place): Promise<unknown> =>
  manager.query('DELETE FROM sign_in_tries WHERE name = $1 AND source = $2', [name, source]);

/** It was nobody's try after all: the passphrase belonged to a namesake. */
export const uncountTry = ({ manager }: DataSource, { name, source }: Place): Promise<unknown> =>
  manager.query('UPDATE sign_in_tries SET failed = greatest(failed - 1, 0) WHERE name = $1 AND source = $2', [name, source]);

interface OnDevice {
  readonly shopId: string;
  readonly personId: string;
  /** Who signed the device in: a new sign-in of theirs gives no new tries. */
  readonly signerId: string;
  readonly given: string;
}

/**
 * Whether this is the passphrase of this person, on a device that somebody signed in.
 * @throws ServerProblem `lockedOut`
 */
export async function provePassphrase(dataSource: DataSource, { shopId, personId, signerId, given }: OnDevice): Promise<boolean> {
  const place = { name: `#${personId}`, source: t.onADeviceOf(signerId) };
  if (!(await countTry(dataSource, place))) throw new ServerProblem('lockedOut');
  const [person] = await dataSource.query<{ passphrase: string | null }[]>(
    'SELECT passphrase FROM people WHERE id = $1 AND shop_id = $2 AND retired_at IS NULL',
    [personId, shopId],
  );
  const right = await isSecret(person?.passphrase, given);
  if (!right) {
    await tellOfGuesses(dataSource, place, { shopId, by: signerId, about: personId });
    return false;
  }
  await settleTries(dataSource, place);
  await settlePins(dataSource.manager, personId, signerId);
  return true;
}

/** The owner reads of it: somebody tried so often that the place has to wait. */
export async function tellOfGuesses(
  { manager }: DataSource,
  { name, source }: Place,
  { shopId, by, about }: { readonly shopId: string; readonly by: string | null; readonly about: string },
): Promise<void> {
  const [tried] = await manager.query<{ failed: number }[]>('SELECT failed FROM sign_in_tries WHERE name = $1 AND source = $2', [
    name,
    source,
  ]);
  if (tried?.failed === FREE_TRIES) await writeAudit(manager, { shopId, by, what: 'passphraseGuessed', about, after: { from: source } });
}

const settlePins = (manager: EntityManager, personId: string, signerId: string) =>
  manager.query('UPDATE pin_tries SET settled = true WHERE person_id = $1 AND signer_id = $2 AND NOT settled', [personId, signerId]);

/**
 * Whether this is the PIN of this person, on a device that somebody signed in. Wrong ones are counted by person over all
 * devices and addresses: each makes the next slower, five make the devices of that signer take the passphrase only, and
 * thirty within a day all devices. The owner is told.
 * @throws ServerProblem `pinSpent`, `pinLocked`
 */
export async function provePin(dataSource: DataSource, { shopId, personId, signerId, given }: OnDevice): Promise<boolean> {
  const { id, pin, here, today } = await countPin(dataSource, { shopId, personId, signerId });
  if (here > 1) await new Promise((resolve) => setTimeout(resolve, Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** (here - 2))));
  if (await isSecret(pin, given)) {
    await dataSource.query('DELETE FROM pin_tries WHERE id = $1', [id]);
    await settlePins(dataSource.manager, personId, signerId);
    return true;
  }
  const told = { shopId, by: signerId, about: personId };
  if (here === PIN_TRIES) await writeAudit(dataSource.manager, { ...told, what: 'pinGuessed', after: { wrong: here } });
  if (today === PIN_TRIES_A_DAY) await writeAudit(dataSource.manager, { ...told, what: 'pinLocked', after: { wrong: today } });
  return false;
}

/** The try is counted before it is made, one after the other for each person. */
const countPin = (dataSource: DataSource, { shopId, personId, signerId }: Omit<OnDevice, 'given'>) =>
  dataSource.transaction(async (manager) => {
    const [person] = await manager.query<{ pin: string | null }[]>(
      'SELECT pin FROM people WHERE id = $1 AND shop_id = $2 AND retired_at IS NULL FOR NO KEY UPDATE',
      [personId, shopId],
    );
    if (!person) throw new ServerProblem('unknownPerson');
    const [counted] = await manager.query<{ here: number; today: number }[]>(
      `SELECT count(*) FILTER (WHERE signer_id = $2 AND NOT settled)::int AS here,
         count(*) FILTER (WHERE "at" > now() - interval '1 day')::int AS today FROM pin_tries WHERE person_id = $1`,
      [personId, signerId],
    );
    const { here = 0, today = 0 } = counted ?? {};
    if (today >= PIN_TRIES_A_DAY) throw new ServerProblem('pinLocked');
    if (here >= PIN_TRIES) throw new ServerProblem('pinSpent');
    const [tried] = await manager.query<{ id: string }[]>('INSERT INTO pin_tries (person_id, signer_id) VALUES ($1, $2) RETURNING id', [
      personId,
      signerId,
    ]);
    return { id: tried?.id ?? '0', pin: person.pin, here: here + 1, today: today + 1 };
  });
