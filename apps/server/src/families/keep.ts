import { explainPack, isCopyOf } from '@patient-badger/core/machine';
import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { failureSentence } from '@patient-badger/wording';
import type { DataSource } from 'typeorm';
import type { Actor } from '../people/actor.ts';
import { writeAudit } from '../people/audit.ts';
import { ServerProblem } from '../problems.ts';
import { families } from '../machines/entities.ts';
import { refuseOrphans } from '../machines/orphans.ts';

/**
 * Keeps a family of the shop's own, or its next version. Refused where the file has mistakes, where a
 * family of that id ships with the app, where a job on record would no longer make sense, and where it would no longer be
 * said that somebody can be hurt by it: a copy of a chain that ships as safety-critical stays so, and so does a family
 * with an open job that was taken in as such.
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
  const original = pack.safetyCritical ? undefined : FAMILIES.find((each) => each.safetyCritical && isCopyOf(pack, each));
  if (original) throw new ServerProblem('familyCanHurt', { path: 'safetyCritical', detail: { given: original.name } });
  return dataSource.transaction(async (manager) => {
    // Two imports of one family at once: the second waits and becomes the next version.
    await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`${shopId}/${pack.id}`]);
    await refuseOrphans(manager, { pack, code: 'familyInUse', where: 'j.shop_id = $1 AND j.family = $2', of: [shopId, pack.id] });
    const before = await manager.findOneBy(families, { shopId, id: pack.id });
    if (!pack.safetyCritical) {
      const open = await manager.query<unknown[]>(
        'SELECT 1 FROM jobs WHERE shop_id = $1 AND family = $2 AND safety_critical AND NOT closed LIMIT 1',
        [shopId, pack.id],
      );
      if (open.length > 0) throw new ServerProblem('familyCanHurt', { path: 'safetyCritical' });
    }
    const row = { shopId, id: pack.id, version: (before?.version ?? 0) + 1, pack };
    await manager.save(families, row);
    const versions = { before: before && { version: before.version }, after: { version: row.version } };
    await writeAudit(manager, { shopId, by: personId, what: 'familyKept', about: pack.name, ...versions });
    return { id: row.id, version: row.version, pack };
  });
}
