import { SCENARIO } from '@patient-badger/knowledge/scenario';
import { partSizeMm, type PartAttributes } from '@patient-badger/core/parts';
import { idOf } from '../idOf.ts';
import { plainParts } from './plainParts.ts';
import { spurParts, type SpurOffer } from './spurParts.ts';
import { type PartRow } from '../parts/entities.ts';

/** One worm as its maker drew it; the near-misses are made from it. */
interface Base {
  readonly models: readonly string[];
  readonly moduleMm: number;
  readonly starts: number;
  readonly pitch: number;
  readonly bore: number;
  readonly width: number;
  readonly teeth: number;
  readonly material: 'plastic' | 'steel' | 'brass';
}

const BASES: readonly Base[] = [
  { models: ['Tovelund T5-46'], moduleMm: 1, starts: 1, pitch: 18, bore: 12, width: 9, teeth: 17, material: 'plastic' },
  { models: ['Tovelund T5-38'], moduleMm: 0.8, starts: 1, pitch: 15.4, bore: 10, width: 8, teeth: 15, material: 'plastic' },
  { models: ['Brackwade Orchardman 55'], moduleMm: 1.25, starts: 2, pitch: 21, bore: 14, width: 10, teeth: 20, material: 'steel' },
  { models: ['Ostrivane OS-62'], moduleMm: 25.4 / 24, starts: 1, pitch: 19, bore: 12.7, width: 9.5, teeth: 18, material: 'steel' },
  { models: ['Pellmarsh Hedger 33'], moduleMm: 0.7, starts: 1, pitch: 13, bore: 9, width: 7, teeth: 14, material: 'plastic' },
  { models: [], moduleMm: 0.9, starts: 1, pitch: 16.5, bore: 11, width: 8.5, teeth: 16, material: 'plastic' },
  { models: [], moduleMm: 1.125, starts: 2, pitch: 19.5, bore: 13, width: 10, teeth: 18, material: 'brass' },
  { models: [], moduleMm: 25.4 / 28, starts: 1, pitch: 16, bore: 11.1, width: 8, teeth: 16, material: 'steel' },
  { models: [], moduleMm: 25.4 / 32, starts: 1, pitch: 14.3, bore: 9.5, width: 7.5, teeth: 15, material: 'plastic' },
  { models: [], moduleMm: 1.5, starts: 2, pitch: 24, bore: 16, width: 12, teeth: 22, material: 'steel' },
  { models: [], moduleMm: 0.6, starts: 1, pitch: 11.5, bore: 8, width: 6.5, teeth: 14, material: 'plastic' },
  { models: [], moduleMm: 25.4 / 20, starts: 2, pitch: 22, bore: 14.3, width: 11, teeth: 20, material: 'steel' },
];

const NEIGHBOUR: Readonly<Record<string, number>> = { '1': 25.4 / 24, '0.8': 25.4 / 32, '1.25': 25.4 / 20, '0.9': 25.4 / 28 };

const ALL_MODELS = BASES.flatMap(({ models }) => models);
const SUPPLIERS = ['Quernby Spares', 'Hobdray Stores', 'Ninefathom Small Gears'] as const;

/** A worm and its near-misses: what a listing calls "the same" and a caliper does not. */
function worms(base: Base): readonly SpurOffer[] {
  const sound: PartAttributes = {
    type: 'worm',
    starts: base.starts,
    axialModuleMm: round(base.moduleMm),
    pitchDiameterMm: base.pitch,
    hand: 'right',
    boreShape: 'round',
    boreDiameterMm: base.bore,
    faceWidthMm: base.width,
    material: base.material,
  };
  const other = base.material === 'steel' ? 'plastic' : 'steel';
  const siblingMm = NEIGHBOUR[String(base.moduleMm)] ?? base.moduleMm * 1.06;
  const { material: _, ...noMaterial } = sound;
  const { boreDiameterMm: __, ...noBore } = sound;
  const { models } = base;
  return [
    { name: 'Oil pump worm', attributes: sound, claims: models },
    { name: 'Oil pump worm, reinforced', attributes: { ...sound, material: other }, claims: models },
    { name: 'Oil pump worm, repeat part', attributes: { ...sound, pitchDiameterMm: round(base.pitch + 0.05) }, claims: models },
    { name: 'Oil pump worm, wide', attributes: { ...sound, faceWidthMm: base.width + 2 }, claims: models },
    { name: 'Oil pump worm, narrow', attributes: { ...sound, faceWidthMm: base.width - 2 }, claims: models },
    { name: 'Oil pump worm, left hand', attributes: { ...sound, hand: 'left' }, claims: [] },
    { name: 'Oil pump worm, small bore', attributes: { ...sound, boreDiameterMm: base.bore - 0.5 }, claims: [] },
    { name: 'Oil pump worm, large bore', attributes: { ...sound, boreDiameterMm: base.bore + 1 }, claims: models },
    { name: 'Oil pump worm', attributes: { ...sound, boreDiameterMm: base.bore + 5 }, claims: models },
    { name: 'Oil pump worm, fast', attributes: { ...sound, starts: base.starts === 1 ? 2 : 1 }, claims: models },
    { name: 'Oil pump worm, fits all', attributes: { ...sound, axialModuleMm: round(siblingMm) }, claims: ALL_MODELS },
    { name: 'Oil pump worm, thin', attributes: { ...sound, pitchDiameterMm: round(base.pitch - 1.2) }, claims: [] },
    { name: 'Oil pump worm, no sheet', attributes: noMaterial, claims: models },
    { name: 'Oil pump worm, used', attributes: noBore, claims: models },
    { name: 'Oil pump worm, hexagon bore', attributes: { ...sound, boreShape: 'hex' }, claims: [] },
  ];
}

function pinions(base: Base): readonly SpurOffer[] {
  const sound: PartAttributes = {
    type: 'wormWheel',
    teeth: base.teeth,
    normalModuleMm: round(base.moduleMm),
    pitchDiameterMm: round(base.moduleMm * base.teeth),
    faceWidthMm: base.width - 2,
    hand: 'right',
    material: 'steel',
  };
  return [
    { name: 'Pump pinion', attributes: sound, claims: base.models },
    ...[-2, -1, 1, 2].map((more) => ({
      name: 'Pump pinion',
      attributes: { ...sound, teeth: base.teeth + more, pitchDiameterMm: round(base.moduleMm * (base.teeth + more)) },
      claims: more === 1 ? base.models : [],
    })),
    { name: 'Pump pinion, wide', attributes: { ...sound, faceWidthMm: base.width }, claims: base.models },
    { name: 'Pump pinion, narrow', attributes: { ...sound, faceWidthMm: base.width - 3.5 }, claims: [] },
    { name: 'Pump pinion, left hand', attributes: { ...sound, hand: 'left' }, claims: [] },
    { name: 'Pump pinion, plastic', attributes: { ...sound, material: 'plastic' }, claims: base.models },
    { name: 'Pump pinion, fits all', attributes: { ...sound, normalModuleMm: round(base.moduleMm * 1.06) }, claims: ALL_MODELS },
  ];
}

/** The demo catalogue: worms, pump pinions, spur and helical gears with their near-misses, and what else lies in the drawers, the same at every seeding of a shop. */
export function demoParts(shopId = SCENARIO.shop.id): PartRow[] {
  const listed: readonly SpurOffer[] = [...BASES.flatMap((base) => [...worms(base), ...pinions(base)]), ...spurParts(), ...plainParts()];
  return listed.map(({ name, attributes, claims }, i) => {
    const partNumber = `QB-${7700 + i}-${'KLMNPRT'[i % 7]}`;
    const dear = attributes.material === 'steel' ? 520 : 0;
    return {
      id: idOf('part', shopId === SCENARIO.shop.id ? partNumber : `${shopId}/${partNumber}`),
      shopId,
      partNumber,
      name,
      supplier: SUPPLIERS[i % SUPPLIERS.length] ?? SUPPLIERS[0],
      type: attributes.type ?? 'spur',
      moduleMm: partSizeMm(attributes),
      attributes,
      priceMinor: 690 + ((i * 173) % 900) + dear,
      leadDays: [0, 2, 4, 9, 14][(i * 7) % 5] ?? 4,
      stock: (i * 5) % 7,
      claims: [...claims],
    };
  });
}

const round = (value: number) => Math.round(value * 10_000) / 10_000;
