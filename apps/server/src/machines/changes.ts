import { isChangeable, mergeObstacle } from '@patient-badger/core/job';
import { type machineChange } from '@patient-badger/contract';
import type { DataSource, EntityManager } from 'typeorm';
import type { z } from 'zod';
import { defined, retiring } from '../defined.ts';
import { writeAudit } from '../people/audit.ts';
import { ServerProblem } from '../problems.ts';
import { holdShop, tellRows } from './tellRows.ts';
import { jobWords } from '../words.ts';
import { machineModels, machines, type MachineRow } from './entities.ts';
import { refuseOrphans } from './orphans.ts';
import { forgetPacks, packWith } from './packs.ts';

interface ChangeRequest {
  readonly shopId: string;
  readonly by: string;
  readonly id: string;
}

/** Changes what is on record of a machine. Its family stays: its jobs speak of that. */
export async function changeMachine(
  dataSource: DataSource,
  { shopId, by, id }: ChangeRequest,
  given: z.output<typeof machineChange>,
): Promise<void> {
  const { retired, ...change } = defined(given);
  await dataSource.transaction(async (manager) => {
    await holdShop(manager, shopId);
    const before = await locked(manager, shopId, id);
    // What went into another record is that one's now, and is not taken up again beside it.
    if (!isChangeable(before)) throw new ServerProblem('otherMachine');
    if (change.modelId !== undefined && change.modelId !== before.modelId) await refuseModel(manager, before, change.modelId);
    const after = { ...change, ...retiring(retired, before) };
    if (Object.keys(after).length === 0) return;
    await manager.update(machines, { id, shopId }, after);
    await rewriteWords(manager, id);
    await tellRows(manager, { shopId, by: 'machine_id', value: id });
    await writeAudit(manager, { shopId, by, before, what: 'machineChanged', about: before.label, after: { ...before, ...after } });
  });
  forgetPacks();
}

async function refuseModel(manager: EntityManager, machine: MachineRow, modelId: string | null): Promise<void> {
  const model = modelId === null ? null : await manager.findOneBy(machineModels, { id: modelId, shopId: machine.shopId });
  if (modelId !== null && model?.family !== machine.family) throw new ServerProblem('unknownModel', { path: 'modelId' });
  const pack = await packWith(manager, machine, model?.overrides);
  await refuseOrphans(manager, { pack, code: 'modelInUse', where: 'j.machine_id = $1', of: [machine.id] });
}

/**
 * Two records of one machine become one: jobs, shelf and meters of this one go into the other, which keeps
 * its own words and takes over what it lacks. This one stays, retired, and says where everything went.
 */
export async function mergeMachines(dataSource: DataSource, { shopId, by, id }: ChangeRequest, into: string): Promise<void> {
  await dataSource.transaction(async (manager) => {
    await holdShop(manager, shopId);
    const [from, to] = [await locked(manager, shopId, id), await locked(manager, shopId, into)];
    if (mergeObstacle(onRecord(from), onRecord(to)) !== null) throw new ServerProblem('otherMachine', { path: 'into' });
    // Its jobs come under the model of the other: refused as a change of model is, where they would make no sense there.
    const modelId = to.modelId ?? from.modelId;
    const model = modelId === null ? null : await manager.findOneBy(machineModels, { id: modelId, shopId });
    await refuseOrphans(manager, {
      pack: await packWith(manager, to, model?.overrides),
      code: 'modelInUse',
      where: 'j.machine_id IN ($1, $2)',
      of: [id, into],
    });
    for (const table of ['jobs', 'shelf', 'meter_readings'])
      await manager.query(`UPDATE ${table} SET machine_id = $2 WHERE machine_id = $1 AND shop_id = $3`, [id, into, shopId]);
    const words = (['serial', 'owner', 'contact'] as const).flatMap((key) =>
      to[key] === '' && from[key] !== '' ? [[key, from[key]] as const] : [],
    );
    const taken = { ...Object.fromEntries(words), ...(to.modelId === null && { modelId: from.modelId }), truth: to.truth ?? from.truth };
    await manager.update(machines, { id: into, shopId }, taken);
    await manager.update(machines, { id, shopId }, { retiredAt: from.retiredAt ?? new Date(), mergedInto: into });
    await rewriteWords(manager, into);
    await tellRows(manager, { shopId, by: 'machine_id', value: into });
    await writeAudit(manager, { shopId, by, what: 'machinesMerged', about: from.label, before: { id }, after: { id: into } });
  });
  forgetPacks();
}

const onRecord = ({ id, family, retiredAt, mergedInto }: MachineRow) => ({ id, family, retired: retiredAt !== null, mergedInto });

async function locked(manager: EntityManager, shopId: string, id: string): Promise<MachineRow> {
  const row = await manager.findOne(machines, { where: { id, shopId }, lock: { mode: 'pessimistic_write' } });
  if (!row) throw new ServerProblem('notFound');
  return row;
}

/** The words by which the jobs of a machine are found hold its name and owner. */
const rewriteWords = (manager: EntityManager, id: string) =>
  manager.query(
    `UPDATE jobs j SET words = ${jobWords()}
     FROM machines m WHERE m.id = $1 AND j.machine_id = m.id`,
    [id],
  );
