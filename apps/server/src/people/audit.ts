import { t } from '@patient-badger/wording/server';
import type { EntityManager } from 'typeorm';

export interface Change {
  readonly shopId: string;
  /** Null where the program did it itself. */
  readonly by: string | null;
  readonly what: string;
  /** Which row: its id or, where that says nothing, its name. */
  readonly about: string;
  readonly before?: object | null;
  readonly after?: object | null;
}

/** Writes down a change outside the jobs, in the transaction that makes it. No secret is ever handed in. */
export async function writeAudit(manager: EntityManager, { shopId, by, what, about, before = null, after = null }: Change): Promise<void> {
  const [was, is] = onlyWhatDiffers(before, after);
  await manager.query('INSERT INTO audit (shop_id, "by", what, about, before, after) VALUES ($1, $2, $3, $4, $5, $6)', [
    shopId,
    by,
    what,
    about,
    was && JSON.stringify(was),
    is && JSON.stringify(is),
  ]);
}

/** So many parts, as an audit names them. */
export const partsText = (count: number): string => (count === 1 ? t.n1Part : t.parts(count));

function onlyWhatDiffers(before: object | null, after: object | null): readonly [object | null, object | null] {
  if (!before || !after) return [before, after];
  const was = new Map(Object.entries(before));
  const is = new Map(Object.entries(after));
  const keys = [...is.keys()].filter((key) => JSON.stringify(was.get(key)) !== JSON.stringify(is.get(key)));
  const pick = (from: ReadonlyMap<string, unknown>) => Object.fromEntries(keys.map((key) => [key, from.get(key) ?? null]));
  return [pick(was), pick(is)];
}
