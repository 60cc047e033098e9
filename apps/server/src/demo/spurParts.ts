import type { PartAttributes } from '@patient-badger/core/parts';

export interface SpurOffer {
  readonly name: string;
  readonly attributes: PartAttributes;
  readonly claims: readonly string[];
}

/** A spur or helical gear as its maker drew it; the near-misses are made from it. */
interface Base {
  readonly name: string;
  readonly models: readonly string[];
  readonly moduleMm: number;
  readonly teeth: number;
  readonly bore: number;
  readonly width: number;
  readonly material: 'plastic' | 'steel' | 'brass';
  readonly helixDeg?: number;
}

const BASES: readonly Base[] = [
  { name: 'Slide pinion pack', models: ['Ninefathom Wall 9'], moduleMm: 3, teeth: 11, bore: 12, width: 10, material: 'steel' },
  { name: 'Slide reduction gear', models: ['Ninefathom Wall 9'], moduleMm: 1.25, teeth: 34, bore: 8, width: 9, material: 'plastic' },
  { name: 'Second-speed gear', models: ['Dunmarrow GT-14'], moduleMm: 1.25, teeth: 41, bore: 16, width: 12, material: 'steel' },
  { name: 'Bridge wheel', models: [], moduleMm: 25.4 / 16, teeth: 36, bore: 15.9, width: 12.7, material: 'steel' },
  { name: 'Speedometer driven gear', models: [], moduleMm: 1.25, teeth: 22, bore: 5, width: 14, material: 'plastic', helixDeg: 20 },
  { name: 'Motor reduction gear', models: [], moduleMm: 1, teeth: 45, bore: 10, width: 11, material: 'plastic', helixDeg: 12 },
];

/** Sizes that a small-gear supplier keeps: the bulk of the catalogue. */
const MODULES = [0.5, 0.6, 0.7, 0.8, 1, 1.25, 1.5, 2, 2.5, 3, 25.4 / 32, 25.4 / 24, 25.4 / 20, 25.4 / 16, 25.4 / 12, 25.4 / 10, 25.4 / 8];
const TEETH = [
  10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 24, 25, 26, 28, 30, 32, 34, 36, 38, 40, 41, 42, 44, 45, 48, 50, 54, 56, 60, 64, 72,
];
const BORES = [4, 5, 6, 6.35, 8, 10, 12, 12.7, 14, 15.9, 16, 20];
const WIDTHS = [5, 6, 8, 10, 12, 15];

const round = (value: number) => Math.round(value * 10_000) / 10_000;

const sound = (base: Base): PartAttributes => ({
  type: base.helixDeg ? 'helical' : 'spur',
  teeth: base.teeth,
  normalModuleMm: round(base.moduleMm),
  pressureAngleDeg: 20,
  ...(base.helixDeg && { helixAngleDeg: base.helixDeg, hand: 'right' as const }),
  boreShape: 'round',
  boreDiameterMm: base.bore,
  faceWidthMm: base.width,
  material: base.material,
});

/** What a listing calls "the same" and a caliper does not: other width, other count, inch for metric, another bore. */
function nearMisses(base: Base): readonly SpurOffer[] {
  const like = sound(base);
  const { models, name } = base;
  return [
    { name, attributes: like, claims: models },
    { name: `${name}, wide`, attributes: { ...like, faceWidthMm: base.width + 2 }, claims: models },
    { name: `${name}, one tooth more`, attributes: { ...like, teeth: base.teeth + 1 }, claims: models },
    { name: `${name}, one tooth less`, attributes: { ...like, teeth: base.teeth - 1 }, claims: [] },
    { name: `${name}, inch`, attributes: { ...like, normalModuleMm: round(base.moduleMm * 1.0583) }, claims: models },
    { name: `${name}, old angle`, attributes: { ...like, pressureAngleDeg: 14.5 }, claims: [] },
    { name: `${name}, small bore`, attributes: { ...like, boreDiameterMm: base.bore - 1 }, claims: [] },
    { name: `${name}, hexagon bore`, attributes: { ...like, boreShape: 'hex' }, claims: models },
    { name: `${name}, other material`, attributes: { ...like, material: base.material === 'steel' ? 'plastic' : 'steel' }, claims: models },
  ];
}

/** Named gears with their near-misses, then the rows of a general catalogue. */
export function spurParts(): readonly SpurOffer[] {
  const rows = MODULES.flatMap((moduleMm, m) =>
    TEETH.flatMap((teeth, t) =>
      [0, 1, 2, 3].map((i): SpurOffer => {
        const base: Base = {
          name: 'Spur gear',
          models: [],
          moduleMm,
          teeth,
          bore: BORES[(m * 7 + t * 3 + i * 5) % BORES.length] ?? 8,
          width: WIDTHS[(m + t + i) % WIDTHS.length] ?? 10,
          material: i % 3 === 0 ? 'plastic' : 'steel',
        };
        return { name: `${base.name} ${teeth}`, attributes: sound(base), claims: [] };
      }),
    ),
  );
  return [...BASES.flatMap(nearMisses), ...rows];
}
