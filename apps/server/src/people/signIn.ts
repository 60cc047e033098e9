import { isIPv6 } from 'node:net';
import type { DataSource } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { countTry, settleTries, tellOfGuesses, uncountTry, WAIT } from './proof.ts';
import { isSecret } from './secrets.ts';
import { digest } from './sessions.ts';

/** Shops that a database may hold of people of one name. */
const MOST_NAMESAKES = 5;

interface Credentials {
  readonly name: string;
  readonly passphrase: string;
  readonly address: string;
  /** What tells this browser from others, where it has shown something. */
  readonly ownDevice: string | undefined;
}

interface Namesake {
  readonly id: string;
  readonly shopId: string;
  readonly passphrase: string | null;
}

/**
 * Whose name and passphrase these are; null where nobody's. A try counts where it comes from: on a browser on which
 * this person gave their passphrase before by that browser, elsewhere by name and address, so that wrong ones from
 * anywhere make that place wait, and never the person on a device of their own. Namesakes in two shops share no try.
 * @throws ServerProblem `lockedOut`
 */
export async function whoSignsIn(dataSource: DataSource, { name, passphrase, address, ownDevice }: Credentials): Promise<Namesake | null> {
  const named = await dataSource.query<Namesake[]>(
    `SELECT id, shop_id AS "shopId", passphrase FROM people WHERE lower(name) = lower($1) AND retired_at IS NULL ORDER BY id LIMIT ${MOST_NAMESAKES}`,
    [name],
  );
  const place = { name: name.toLowerCase(), source: networkOf(address) };
  const ids = named.map(({ id }) => id);
  const known = ownDevice === undefined ? [] : await ownersOf(dataSource, ownDevice, ids);
  const open = ownDevice === undefined ? [] : await countOnDevice(dataSource, ownDevice, ids);
  const mayElsewhere = known.length < Math.max(1, named.length) && (await countTry(dataSource, place));
  const tried = named.filter(({ id }) => open.includes(id) || (mayElsewhere && !known.includes(id)));
  if (tried.length === 0 && !mayElsewhere) throw new ServerProblem('lockedOut');
  // Somebody who is not there takes as long as a wrong passphrase.
  const rights = await Promise.all((tried.length > 0 ? tried : [null]).map((each) => isSecret(each?.passphrase, passphrase)));
  const found = tried.find((_, i) => rights[i]) ?? null;
  if (!found) {
    for (const { id, shopId } of mayElsewhere ? tried : []) await tellOfGuesses(dataSource, place, { shopId, by: null, about: id });
    return null;
  }
  if (ownDevice !== undefined)
    await dataSource.query('UPDATE own_devices SET failed = 0 WHERE token = $1 AND person_id = ANY($2)', [digest(ownDevice), ids]);
  if (mayElsewhere) await (known.includes(found.id) ? uncountTry(dataSource, place) : settleTries(dataSource, place));
  return found;
}

const ownersOf = async (dataSource: DataSource, token: string, ids: readonly string[]) =>
  (
    await dataSource.query<{ id: string }[]>('SELECT person_id AS id FROM own_devices WHERE token = $1 AND person_id = ANY($2)', [
      digest(token),
      ids,
    ])
  ).map(({ id }) => id);

/** Of these the ones who may try on this browser now; each try is counted before it is made. */
const countOnDevice = async (dataSource: DataSource, token: string, ids: readonly string[]) =>
  (
    await dataSource.query<[{ id: string }[], number]>(
      `UPDATE own_devices SET failed = failed + 1, last_at = now()
       WHERE token = $1 AND person_id = ANY($2) AND last_at <= now() - (${WAIT}) RETURNING person_id AS id`,
      [digest(token), ids],
    )
  )[0].map(({ id }) => id);

/** The network that an address stands for: of IPv6 anybody has a whole one of 64 bits. */
function networkOf(address: string): string {
  if (!isIPv6(address) || address.startsWith('::ffff:')) return address.replace(/^::ffff:/, '');
  const [head = '', tail] = address.split('::');
  const groups = head.split(':').filter(Boolean);
  const rest = tail === undefined ? [] : tail.split(':').filter(Boolean);
  const zeros = Array.from({ length: Math.max(0, 8 - groups.length - rest.length) }, () => '0');
  return [...groups, ...(tail === undefined ? [] : zeros), ...rest].slice(0, 4).join(':');
}
