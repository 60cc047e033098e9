import { applyOverrides, checkPack, packSchema, type Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import type { EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { machineModels, machines } from './entities.ts';
import { families } from './entities.ts';

/** Own families as last read, by shop and id: the same version gives the same pack, so that what was worked out for it is found again. */
const read = new Map<string, { readonly version: number; readonly pack: Pack }>();

/** A family that ships, or one of the shop's own; null where there is none. */
export async function packOf(manager: EntityManager, shopId: string, id: string): Promise<Pack | null> {
  const shipped = findFamily(id);
  if (shipped) return shipped;
  const row = await manager.findOneBy(families, { shopId, id });
  if (!row) return null;
  const key = `${shopId}/${id}`;
  const before = read.get(key);
  if (before?.version === row.version) return before.pack;
  const pack = checkPack(packSchema.parse(row.pack));
  read.set(key, { version: row.version, pack });
  return pack;
}

interface OnMachine {
  readonly shopId: string;
  readonly family: string;
  readonly machineId: string;
}

/** The family of a job as its machine's model has it. */
export async function packOfJob(manager: EntityManager, { shopId, family, machineId }: OnMachine): Promise<Pack> {
  const pack = await packOf(manager, shopId, family);
  if (!pack) throw new ServerProblem('unknownFamily', { path: 'payload.family' });
  const machine = await manager.findOneBy(machines, { id: machineId, shopId });
  const model = machine?.modelId ? await manager.findOneBy(machineModels, { id: machine.modelId, shopId }) : null;
  return applyOverrides(pack, model?.overrides);
}
