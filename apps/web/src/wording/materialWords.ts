import { t } from '@patient-badger/wording/strength';
import type { MaterialId } from '@patient-badger/core';

export const MATERIAL_WORDS: Readonly<Record<MaterialId, string>> = {
  steel: t.steel,
  stainless: t.stainless,
  castIron: t.castIron2,
  aluminium: t.aluminium,
  zincAlloy: t.zincCasting,
  brass: t.brass,
  bronze: t.bronze,
  acetal: t.acetal,
  nylon: t.nylonDry,
  nylonMoist: t.nylonMoist,
  nylonGlass: t.nylonGlassFilled,
  nylonGlassMoist: t.nylonGlassMoist,
  pbt: 'PBT',
};
