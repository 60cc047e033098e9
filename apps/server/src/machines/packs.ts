import { applyOverrides, type ModelOverrides, type Pack } from '@patient-badger/core/machine';
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

/** A machine's model and what that has otherwise hardly ever change: asked for again after a while, and at once where they were changed here. */
const KNOWN_MS = 10_000;
const REMEMBERED = 5000;
const ofMachine = new Map<string, OnMachine & { readonly until: number; readonly stamp: string }>();

/** A machine or a model was changed. */
export const forgetPacks = () => ofMachine.clear();

/** The pack of a family as a model with these has it. */
export async function packWith(
  manager: EntityManager,
  { shopId, family }: { readonly shopId: string; readonly family: string },
  overrides: ModelOverrides | null | undefined,
): Promise<Pack> {
  const pack = await packOf(manager, shopId, family);
  if (!pack) throw new ServerProblem('unknownFamily', { path: 'payload.family' });
  return applyOverrides(pack, overrides);
}

/** The pack of a machine as its model has it; null where the shop has no such machine. */
export async function packOfMachine(manager: EntityManager, shopId: string, machineId: string): Promise<OnMachine | null> {
  const key = `${shopId}/${machineId}`;
  const before = ofMachine.get(key);
  if (before && before.until > Date.now()) return before;
  const machine = await manager.findOneBy(machines, { id: machineId, shopId });
  if (!machine) return null;
  const model = machine.modelId ? await manager.findOneBy(machineModels, { id: machine.modelId, shopId }) : null;
  // The same pack as before is the same object: what was worked out for it is found again.
  const stamp = JSON.stringify([machine.family, model?.overrides ?? null]);
  const same = before?.stamp === stamp && findFamily(machine.family);
  const made = { family: machine.family, pack: same ? before.pack : await packWith(manager, machine, model?.overrides) };
  // A family of the shop's own may get a next version at any time, from any server process: asked for each time.
  if (findFamily(machine.family)) {
    if (ofMachine.size >= REMEMBERED) ofMachine.clear();
    ofMachine.set(key, { ...made, stamp, until: Date.now() + KNOWN_MS });
  }
  return made;
}

interface OfJob {
  readonly shopId: string;
  readonly machineId: string;
  /** As the family was when the job was taken in: what could hurt somebody then does so until it is closed. */
  readonly safetyCritical: boolean;
}

const asTakenIn = new WeakMap<Pack, Pack>();

/** The family of a job as its machine's model has it. */
export async function packOfJob(manager: EntityManager, { shopId, machineId, safetyCritical }: OfJob): Promise<Pack> {
  const found = await packOfMachine(manager, shopId, machineId);
  if (!found) throw new ServerProblem('unknownMachine');
  const { pack } = found;
  if (pack.safetyCritical || !safetyCritical) return pack;
  const made = asTakenIn.get(pack) ?? { ...pack, safetyCritical: true };
  asTakenIn.set(pack, made);
  return made;
}
