import { foldJob, type Entry } from '@patient-badger/core/job';
import { findFamily } from '@patient-badger/knowledge';
import { SCENARIO, scenarioEntryPayload } from '@patient-badger/knowledge/scenario';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { idOf } from '../idOf.ts';
import { pastJobs } from './pastJobs.ts';
import { demoListings, demoLinks } from './sellers.ts';
import { demoShelf } from './shelf.ts';
import { demoParts } from './parts.ts';
import { people, shops } from '../people/entities.ts';
import { machineModels, machines } from '../machines/entities.ts';
import { packOfJob } from '../machines/packs.ts';
import { writeRow } from '../jobs/commit.ts';
import { entries, jobs } from '../jobs/entities.ts';
import { listings, partLinks, parts, type PartRow } from '../parts/entities.ts';
import { hashSecret } from '../people/secrets.ts';
import { SAMPLE } from './sample.ts';
import { shelf } from '../shelf/entities.ts';

const UNITS = { lengthUnit: 'mm', distanceUnit: 'km', torqueUnit: 'N·m' } as const;
const RATE_MINOR = 5400;

/** Fills an empty database with the demo world; leaves any other as it is. True where it was filled. */
export async function seedDemo(dataSource: DataSource, now = new Date()): Promise<boolean> {
  if ((await dataSource.getRepository(shops).count()) > 0) {
    await letIn(dataSource);
    return false;
  }
  const { shop } = SCENARIO;
  const shopId = shop.id;
  const [passphrase, pin] = await Promise.all([hashSecret(SAMPLE.passphrase), hashSecret(SAMPLE.pin)]);
  await dataSource.transaction(async (manager) => {
    await manager.insert(shops, { ...shop, ...UNITS, rateMinor: RATE_MINOR });
    await manager.insert(
      people,
      SCENARIO.people.map((each) => ({ ...each, shopId, passphrase, pin })),
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
    const list = await insertSampleParts(manager, shopId);
    await manager.insert(shelf, demoShelf(now));
    const past = pastJobs(list, now).map(({ id, machine, entries: written }) => ({ id, machine, written }));
    const onBench = SCENARIO.jobs.map((scenarioJob) => {
      const machine = SCENARIO.machines.find(({ key }) => key === scenarioJob.machine);
      if (!machine) throw new Error(`the scenario job ${scenarioJob.key} has no machine`);
      const id = idOf('job', scenarioJob.key);
      const written = scenarioJob.entries.map(({ ago, by, payload }, i): Entry => ({
        id: idOf('entry', `${scenarioJob.key}/${i}`),
        jobId: id,
        at: new Date(now.getTime() - ago * 60_000).toISOString(),
        by,
        payload: scenarioEntryPayload(payload, idOf('machine', machine.key), machine.family),
      }));
      return { id, machine, written };
    });
    await insertJobs(manager, shopId, [...past, ...onBench]);
  });
  return true;
}

/** Parts of made-up makers with their sellers and successors. */
export async function insertSampleParts(manager: EntityManager, shopId: string): Promise<PartRow[]> {
  const list = demoParts(shopId);
  // In batches: a statement takes no more than 65,535 values.
  for (let i = 0; i < list.length; i += 1000) await manager.insert(parts, list.slice(i, i + 1000));
  await manager.insert(listings, demoListings(list));
  await manager.insert(partLinks, demoLinks(list));
  return list;
}

/** A made-up shop from before people signed in: its people get their passphrase now. */
async function letIn(dataSource: DataSource): Promise<void> {
  const shopId = SCENARIO.shop.id;
  if (!(await dataSource.getRepository(people).existsBy({ shopId, passphrase: IsNull() }))) return;
  const [passphrase, pin] = await Promise.all([hashSecret(SAMPLE.passphrase), hashSecret(SAMPLE.pin)]);
  await dataSource.getRepository(people).update({ shopId, passphrase: IsNull() }, { passphrase, pin });
}

interface SampleJob {
  readonly id: string;
  readonly machine: { readonly key: string; readonly family: string };
  readonly written: readonly Entry[];
}

/** Jobs with their entries as if they had arrived in the order in which they were written. */
async function insertJobs(manager: EntityManager, shopId: string, list: readonly SampleJob[]): Promise<void> {
  const inOrder = list.flatMap(({ written }) => written).sort((p, q) => Date.parse(p.at) - Date.parse(q.at));
  const seqOf = new Map(inOrder.map(({ id }, i) => [id, i + 1]));
  await manager.insert(
    jobs,
    list.map(({ id, machine, written }) => ({
      id,
      shopId,
      machineId: idOf('machine', machine.key),
      family: machine.family,
      closed: false,
      complaint: '',
      safetyCritical: findFamily(machine.family)?.safetyCritical ?? false,
      takenInAt: new Date(written[0]?.at ?? 0),
      seq: Math.max(...written.map((each) => seqOf.get(each.id) ?? 0)),
      moveSeq: 0,
    })),
  );
  await manager.insert(
    entries,
    inOrder.map((each) => ({ ...each, at: new Date(each.at), seq: seqOf.get(each.id) ?? 0, shopId, heldBy: null, device: null })),
  );
  await manager.update(shops, { id: shopId }, { lastSeq: inOrder.length });
  for (const { id, written, machine } of list) {
    const pack = await packOfJob(manager, { shopId, machineId: idOf('machine', machine.key), safetyCritical: false });
    await writeRow(manager, { state: foldJob(id, written), pack, shopId });
  }
}
