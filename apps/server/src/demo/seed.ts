import { foldJob, type Entry } from '@patient-badger/core';
import { SCENARIO, scenarioEntryPayload } from '@patient-badger/knowledge/scenario';
import type { DataSource } from 'typeorm';
import { idOf } from '../idOf.ts';
import { pastJobs } from './pastJobs.ts';
import { demoListings, demoLinks } from './sellers.ts';
import { demoShelf } from './shelf.ts';
import { demoParts } from './parts.ts';
import { people, shops } from '../shop/entities.ts';
import { machineModels, machines } from '../machines/entities.ts';
import { entries, jobs } from '../jobs/entities.ts';
import { listings, partLinks, parts } from '../parts/entities.ts';
import { shelf } from '../shelf/entities.ts';

/** Fills an empty database with the demo world; leaves any other as it is. True where it was filled. */
export async function seedDemo(dataSource: DataSource, now = new Date()): Promise<boolean> {
  if ((await dataSource.getRepository(shops).count()) > 0) return false;
  const { shop } = SCENARIO;
  const shopId = shop.id;
  await dataSource.transaction(async (manager) => {
    await manager.insert(shops, shop);
    await manager.insert(
      people,
      SCENARIO.people.map((each) => ({ ...each, shopId })),
    );
    await manager.insert(
      machineModels,
      SCENARIO.models.map(({ key, ...each }) => ({ ...each, id: idOf('model', key), shopId })),
    );
    await manager.insert(
      machines,
      SCENARIO.machines.map(({ key, model, ...each }) => ({
        ...each,
        id: idOf('machine', key),
        modelId: model && idOf('model', model),
        shopId,
      })),
    );
    // In batches: a statement takes no more than 65,535 values.
    const list = demoParts();
    for (let i = 0; i < list.length; i += 1000) await manager.insert(parts, list.slice(i, i + 1000));
    await manager.insert(listings, demoListings(list));
    await manager.insert(partLinks, demoLinks(list));
    await manager.insert(shelf, demoShelf(now));
    const past = pastJobs(list, now);
    await manager.insert(
      jobs,
      past.map(({ id, machine }) => ({ id, shopId, machineId: idOf('machine', machine.key), family: machine.family, closed: true })),
    );
    await manager.insert(
      entries,
      past.flatMap((each) => each.entries.map((entry) => ({ ...entry, at: new Date(entry.at), shopId }))),
    );
    for (const scenarioJob of SCENARIO.jobs) {
      const machine = SCENARIO.machines.find(({ key }) => key === scenarioJob.machine);
      if (!machine) throw new Error(`the scenario job ${scenarioJob.key} has no machine`);
      const jobId = idOf('job', scenarioJob.key);
      const machineId = idOf('machine', machine.key);
      const list: Entry[] = scenarioJob.entries.map(({ ago, by, payload }, i) => ({
        id: idOf('entry', `${scenarioJob.key}/${i}`),
        jobId,
        at: new Date(now.getTime() - ago * 60_000).toISOString(),
        by,
        payload: scenarioEntryPayload(payload, machineId, machine.family),
      }));
      const closed = foldJob(jobId, list).closed !== null;
      await manager.insert(jobs, { id: jobId, shopId, machineId, family: machine.family, closed });
      await manager.insert(
        entries,
        list.map((each) => ({ ...each, at: new Date(each.at), shopId })),
      );
    }
  });
  return true;
}
