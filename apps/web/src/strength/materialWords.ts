import type { MaterialId } from '@patient-badger/core';

export const MATERIAL_WORDS: Readonly<Record<MaterialId, string>> = {
  steel: 'Steel',
  stainless: 'Stainless',
  castIron: 'Cast iron',
  aluminium: 'Aluminium',
  zincAlloy: 'Zinc casting',
  brass: 'Brass',
  bronze: 'Bronze',
  acetal: 'Acetal',
  nylon: 'Nylon',
  nylonGlass: 'Nylon, glass-filled',
  pbt: 'PBT',
};
