import type { MachineHistory } from '@patient-badger/contract';
import { foldJob, machineRecord } from '@patient-badger/core';
import type { DataSource } from 'typeorm';
import { toEntry } from './commit.ts';
import { entries, jobs } from './entities.ts';

/** Kinds of entry that say what became of a machine. */
const TELLING = ['takenIn', 'partFitted', 'partAccepted', 'plateRead', 'withdrawn'];
/** So many of the latest are read. */
const MOST = 5000;

/** What is known of one machine from all its jobs; its jobs themselves come by page. */
export async function historyOf(dataSource: DataSource, shopId: string, machineId: string): Promise<MachineHistory> {
  const list = await dataSource
    .getRepository(entries)
    .createQueryBuilder('e')
    .innerJoin(jobs.options.name, 'j', 'j.id = e.job_id')
    .where("j.machine_id = :machineId AND j.shop_id = :shopId AND e.payload->>'kind' = ANY(:kinds)", { machineId, shopId, kinds: TELLING })
    .orderBy('e.seq', 'DESC')
    .limit(MOST)
    .getMany();
  const told = list.map(toEntry);
  const { parts, plates, again } = machineRecord([...new Set(told.map(({ jobId }) => jobId))].map((jobId) => foldJob(jobId, told)));
  return { parts: [...parts], plates: [...plates], again: [...again] };
}
