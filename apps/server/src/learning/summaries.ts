import { foldJob } from '@patient-badger/core/job';
import type { DataSource } from 'typeorm';
import { toEntry, writeRow } from '../jobs/commit.ts';
import { entries } from '../jobs/entities.ts';
import { packOfJob } from '../machines/packs.ts';

/** So many are looked for at once. */
const AT_ONCE = 100;

/**
 * Works out what jobs leave that were closed before summaries were kept, one after the other: between any two of them whoever else asks
 * is answered. A shop pays for it once.
 */
export async function fillSummaries({ manager }: DataSource, shopId: string): Promise<void> {
  for (;;) {
    const left = await manager.query<{ id: string; machineId: string; safetyCritical: boolean }[]>(
      'SELECT id, machine_id AS "machineId", safety_critical AS "safetyCritical" FROM jobs WHERE shop_id = $1 AND closed AND summary IS NULL LIMIT $2',
      [shopId, AT_ONCE],
    );
    if (left.length === 0) return;
    for (const { id, ...of } of left) {
      const list = await manager.find(entries, { where: { jobId: id }, order: { seq: 'ASC' } });
      await writeRow(manager, { state: foldJob(id, list.map(toEntry)), pack: await packOfJob(manager, { shopId, ...of }), shopId });
    }
  }
}
