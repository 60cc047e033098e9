import type { MaterialId } from './materials.ts';

/** Words of a family's materials, the most particular first. */
const SAID: readonly (readonly [word: string, MaterialId])[] = [
  // In use it is moist.
  ['glass', 'nylonGlassMoist'],
  ['nylon', 'nylonMoist'],
  ['plastic', 'acetal'],
  ['acetal', 'acetal'],
  ['zinc', 'zincAlloy'],
  // What a family calls soft metal.
  ['soft', 'zincAlloy'],
  ['bronze', 'bronze'],
  ['brass', 'brass'],
  ['alumin', 'aluminium'],
  ['cast', 'castIron'],
];

/** The material that a family's own words mean; nothing where they name none of the soft ones. @example materialSaid('glass-filled nylon') // 'nylonGlassMoist' */
export const materialSaid = (said: string): MaterialId | undefined => SAID.find(([word]) => said.toLowerCase().includes(word))?.[1];
