import { KM_PER_MILE } from './distance.ts';
import { MM_PER_INCH, parseReading } from './length.ts';
import { NEWTON_METRES } from './torqueUnits.ts';

/** What a figure is kept in. */
export const FIGURE_BASES = ['mm', 'N·m', 'perKm'] as const;
export type FigureBase = (typeof FIGURE_BASES)[number];

/** What people write behind a figure, as it is spelt once dots, dashes and blanks are gone, and how much of the base it is. */
const UNITS: Readonly<Record<FigureBase, Readonly<Record<string, number>>>> = {
  mm: {
    mm: 1,
    cm: 10,
    in: MM_PER_INCH,
    inch: MM_PER_INCH,
    inches: MM_PER_INCH,
    '"': MM_PER_INCH,
    '″': MM_PER_INCH,
    thou: MM_PER_INCH / 1000,
    mil: MM_PER_INCH / 1000,
  },
  'N·m': {
    nm: 1,
    ncm: 0.01,
    ftlb: NEWTON_METRES['ft·lb'],
    ftlbf: NEWTON_METRES['ft·lb'],
    lbfft: NEWTON_METRES['ft·lb'],
    lbft: NEWTON_METRES['ft·lb'],
    inlb: NEWTON_METRES['in·lb'],
    inlbf: NEWTON_METRES['in·lb'],
    lbfin: NEWTON_METRES['in·lb'],
    lbin: NEWTON_METRES['in·lb'],
    kgfm: NEWTON_METRES['kgf·m'],
    kgm: NEWTON_METRES['kgf·m'],
  },
  perKm: {
    '/km': 1,
    perkm: 1,
    '/mi': 1 / KM_PER_MILE,
    '/mile': 1 / KM_PER_MILE,
    permile: 1 / KM_PER_MILE,
    turnspermile: 1 / KM_PER_MILE,
    turnsperkm: 1,
  },
};

/** How much of the base one of a unit is, as people write it; undefined where it is a unit of another kind. */
export const figureUnit = (unit: string, base: FigureBase): number | undefined =>
  UNITS[base][unit.toLowerCase().replaceAll(/[·.\-*\s]/g, '')];

/**
 * A figure as a hand writes it, in its base: `18.05`, `18,05`, `11/16`, `44 1/4 in`, `3 in·lb`, `530 per mile`. A unit of
 * another kind than the field's is not understood; without one it is the hand's own, else the base. Null where it is not one figure.
 * @example readFigure('44 1/4 in', 'mm') // 1123.95
 * @example readFigure('0.5', 'mm', 'in') // 12.7
 */
export function readFigure(text: string, base?: FigureBase, own: string = base ?? ''): number | null {
  const [, number = '', unit = ''] = /^(-?[\d.,/\s]*\d[.,]?)\s*([^\d].*)?$/.exec(text.trim()) ?? [];
  const value = parseReading(number);
  if (value === null) return null;
  if (base === undefined) return unit === '' ? value : null;
  const factor = figureUnit(unit === '' ? own : unit, base);
  return factor === undefined ? null : value * factor;
}
