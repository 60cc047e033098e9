import { applyOverrides, type Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import type { EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { families, machineModels, machines } from './entities.ts';
import { ownPack } from './ownPack.ts';

/** A family that ships, or one of the shop's own; null where there is none. */
export async function packOf(manager: EntityManager, shopId: string, id: string): Promise<Pack | null> {
  const shipped = findFamily(id);
  if (shipped) return shipped;
  const row = await manager.findOneBy(families, { shopId, id });
  return row && ownPack(row);
}

interface OnMachine {
  readonly family: string;
  readonly pack: Pack;
}

/** A machine's family and model never change once it is on record, and shipped packs only with the server: kept for so many machines. */
const REMEMBERED = 5000;
const ofMachine = new Map<string, OnMachine>();

/** The pack of a machine as its model has it; null where the shop has no such machine. */
export async function packOfMachine(manager: EntityManager, shopId: string, machineId: string): Promise<OnMachine | null> {
  const key = `${shopId}/${machineId}`;
  const before = ofMachine.get(key);
  if (before) return before;
  const machine = await manager.findOneBy(machines, { id: machineId, shopId });
  if (!machine) return null;
  const pack = await packOf(manager, shopId, machine.family);
  if (!pack) throw new ServerProblem('unknownFamily', { path: 'payload.family' });
  const model = machine.modelId ? await manager.findOneBy(machineModels, { id: machine.modelId, shopId }) : null;
  const made = { family: machine.family, pack: applyOverrides(pack, model?.overrides) };
  // A family of the shop's own may get a next version at any time, from any server process: asked for each time.
  if (findFamily(machine.family)) {
    if (ofMachine.size >= REMEMBERED) ofMachine.clear();
    ofMachine.set(key, made);
  }
  return made;
}

/** The family of a job as its machine's model has it. */
export async function packOfJob(manager: EntityManager, { shopId, machineId }: { shopId: string; machineId: string }): Promise<Pack> {
  const found = await packOfMachine(manager, shopId, machineId);
  if (!found) throw new ServerProblem('unknownMachine');
  return found.pack;
}
