import { explainPack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { failureSentence } from '@patient-badger/wording';
import type { DataSource } from 'typeorm';
import type { Actor } from '../people/actor.ts';
import { writeAudit } from '../people/audit.ts';
import { ServerProblem } from '../problems.ts';
import { families } from '../machines/entities.ts';
import { refuseOrphans } from '../machines/orphans.ts';

/**
 * Keeps a family of the shop's own, or its next version. Refused where the file has mistakes, where a
 * family of that id ships with the app, and where a job on record would no longer make sense.
 */
export async function keepFamily(
  dataSource: DataSource,
  { shopId, personId }: Actor,
  raw: unknown,
): Promise<{ id: string; version: number; pack: unknown }> {
  const { pack, mistakes } = explainPack(raw);
  const [first] = mistakes;
  if (!pack) throw new ServerProblem('invalidInput', { path: first?.path, sentence: first && failureSentence(first) });
  if (findFamily(pack.id)) throw new ServerProblem('familyShips', { path: 'id' });
  return dataSource.transaction(async (manager) => {
    // Two imports of one family at once: the second waits and becomes the next version.
    await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`${shopId}/${pack.id}`]);
    await refuseOrphans(manager, { pack, code: 'familyInUse', where: 'j.shop_id = $1 AND j.family = $2', of: [shopId, pack.id] });
    const before = await manager.findOneBy(families, { shopId, id: pack.id });
    const row = { shopId, id: pack.id, version: (before?.version ?? 0) + 1, pack };
    await manager.save(families, row);
    const versions = { before: before && { version: before.version }, after: { version: row.version } };
    await writeAudit(manager, { shopId, by: personId, what: 'familyKept', about: pack.name, ...versions });
    return { id: row.id, version: row.version, pack };
  });
}
