import { checkPack, packSchema, type Pack } from '@patient-badger/core/machine';

/** Own families as last read, by shop and id: the same version gives the same pack, so that what was worked out for it is found again. */
const read = new Map<string, { readonly version: number; readonly pack: Pack }>();

/** The pack of a family of the shop's own, from its row. */
export function ownPack({ shopId, id, version, pack: raw }: { shopId: string; id: string; version: number; pack: unknown }): Pack {
  const key = `${shopId}/${id}`;
  const before = read.get(key);
  if (before?.version === version) return before.pack;
  const pack = checkPack(packSchema.parse(raw));
  read.set(key, { version, pack });
  return pack;
}
