import { checkEntry, CoreFailure, explainPack, type Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { failureSentence } from '@patient-badger/wording';
import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { entries, jobs } from '../jobs/entities.ts';
import { families } from '../machines/entities.ts';

/**
 * Keeps a family of the shop's own, or its next version. Refused where the file has mistakes, where a
 * family of that id ships with the app, and where a job on record would no longer make sense.
 */
export async function keepFamily(
  dataSource: DataSource,
  shopId: string,
  raw: unknown,
): Promise<{ id: string; version: number; pack: unknown }> {
  const { pack, mistakes } = explainPack(raw);
  const [first] = mistakes;
  if (!pack) throw new ServerProblem('invalidInput', { path: first?.path, sentence: first && failureSentence(first) });
  if (findFamily(pack.id)) throw new ServerProblem('familyShips', { path: 'id' });
  return dataSource.transaction(async (manager) => {
    // Two imports of one family at once: the second waits and becomes the next version.
    await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`${shopId}/${pack.id}`]);
    await refuseOrphans(manager, shopId, pack);
    const before = await manager.findOneBy(families, { shopId, id: pack.id });
    const row = { shopId, id: pack.id, version: (before?.version ?? 0) + 1, pack };
    await manager.save(families, row);
    return { id: row.id, version: row.version, pack };
  });
}

/** Every entry of the family's jobs must still say something under the new file. */
async function refuseOrphans(manager: EntityManager, shopId: string, pack: Pack): Promise<void> {
  const rows = await manager
    .createQueryBuilder(entries, 'e')
    .innerJoin(jobs.options.name, 'j', 'j.id = e.job_id')
    .where('j.shop_id = :shopId AND j.family = :family', { shopId, family: pack.id })
    .getMany();
  for (const { payload } of rows) {
    try {
      checkEntry(payload, pack);
    } catch (error) {
      if (!(error instanceof CoreFailure)) throw error;
      throw new ServerProblem('familyInUse', {
        path: error.path,
        detail: { given: String(error.detail.given) },
      });
    }
  }
}
