import { hash, verify } from '@node-rs/argon2';
import { ServerProblem } from '../problems.ts';

/** Argon2id with 19 MiB, two passes, one lane: the least of OWASP's Password Storage Cheat Sheet. On a thread of its own. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashSecret = (secret: string): Promise<string> => hash(secret.normalize('NFKC'), COST);

/** Stands in for somebody who is not there, so that an unknown name takes as long as a wrong passphrase. */
const NOBODY = hashSecret('nobody has this passphrase');

/** False where there is no hash; takes as long as where there is one. */
export async function isSecret(hashed: string | null | undefined, given: string): Promise<boolean> {
  const right = await verify(hashed ?? (await NOBODY), given.normalize('NFKC'));
  return right && typeof hashed === 'string';
}

/** What is tried first by whoever guesses: one letter over and over, runs, a word that everybody takes, names of the house. */
const TAKEN_OFTEN = ['password', 'passwort', 'passphrase', 'letmein', 'qwerty', 'iloveyou', 'welcome', 'administrator', '1234567890'];

/** @throws ServerProblem `weakPassphrase` */
export function refuseWeakPassphrase(given: string, names: readonly string[]): void {
  const plain = given.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');
  const without = [...TAKEN_OFTEN, ...names.map((name) => name.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, ''))]
    .filter((word) => word.length > 2)
    .reduce((rest, word) => rest.replaceAll(word, ''), plain);
  if (new Set(without).size < 5) throw new ServerProblem('weakPassphrase');
}

/** @throws ServerProblem `weakPin` where all figures are one, or follow one another */
export function refuseWeakPin(pin: string): void {
  const steps = new Set([...pin].slice(1).map((figure, i) => Number(figure) - Number(pin[i])));
  if (steps.size === 1 && [-1, 0, 1].includes([...steps][0] ?? 9)) throw new ServerProblem('weakPin');
}
