import { applyOverrides, checkPack, packSchema, type Pack } from '@patient-badger/core/machine';
import { machineModel, ownFamily } from '@patient-badger/contract';
import { FAMILIES } from '@patient-badger/knowledge';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { z } from 'zod';
import { call } from './api.ts';

const read = new WeakMap<object, Pack | null>();

/** A family of the shop's own as the app can use it; null where an older app cannot read it. What was read once is not read again. */
function packFrom(raw: unknown): Pack | null {
  if (typeof raw !== 'object' || raw === null) return null;
  const before = read.get(raw);
  if (before !== undefined) return before;
  const made = check(raw);
  read.set(raw, made);
  return made;
}

function check(raw: object): Pack | null {
  const parsed = packSchema.safeParse(raw);
  if (!parsed.success) return null;
  try {
    return checkPack(parsed.data);
  } catch {
    return null;
  }
}

export const useOwnFamilies = () =>
  useQuery({ queryKey: ['families'], queryFn: () => call('/api/families', z.array(ownFamily)), staleTime: 60_000 });

export const useModels = () =>
  useQuery({ queryKey: ['models'], queryFn: () => call('/api/models', z.array(machineModel)), staleTime: 600_000 });

/** Every machine family this shop can work on: those that ship, then its own. */
export function useFamilies(): readonly Pack[] {
  const own = useOwnFamilies().data;
  return useMemo(() => [...FAMILIES, ...(own ?? []).flatMap(({ pack }) => packFrom(pack) ?? [])], [own]);
}

/** Finds the family of a machine as its model has it. */
export function usePackOf(): (family: string, modelId?: string | null) => Pack | undefined {
  const families = useFamilies();
  const models = useModels().data;
  return useCallback(
    (family, modelId) => {
      const pack = families.find(({ id }) => id === family);
      return pack && applyOverrides(pack, models?.find(({ id }) => id === modelId)?.overrides);
    },
    [families, models],
  );
}
