import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { KM_PER_MILE } from '../quantity/distance.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { parseTyre, TYRE_BASES, TYRE_SERIES } from './tyreSize.ts';

export const tyreInput = z.strictObject({
  /** As it is printed; a tyre that was rolled, or of which the maker's figure is known, needs none. */
  size: z.string().min(3).max(40).optional(),
  publishedTurnsPerKm: z.number().min(50).max(5000).optional(),
  rolled: z.strictObject({ turns: positiveUpTo(100_000), distanceM: positiveUpTo(1e6) }).optional(),
});

const SOURCES = ['rolled', 'published', 'size'] as const;
export const tyreOutput = z.object({
  source: z.enum(SOURCES),
  /** How the size is written, and what its diameter stands on; null where none was given. */
  series: z.enum(TYRE_SERIES).nullable(),
  basis: z.enum(TYRE_BASES).nullable(),
  diameterMm: z.number(),
  circumferenceMm: z.number(),
  turnsPerKm: z.number(),
  turnsPerMile: z.number(),
  fromSize: z.object({ turnsPerKm: z.number() }).nullable(),
  /** Every source there is, best first, and how much more often it turns than the printed size says; null without a size. */
  sources: z.array(
    z.object({ source: z.enum(SOURCES), turnsPerKm: z.number(), againstSizePercent: z.number().nullable(), plusMinusPercent: z.number() }),
  ),
  /** What the printed size comes to with the tyre pressed flat below the wheel; null without one. */
  loadedTurnsPerKm: z.number().nullable(),
});
export type Tyre = z.infer<typeof tyreOutput>;

/** A tyre under load turns about this much more often than its free diameter says (rule of thumb: 3 in 100). */
export const LOADED = 0.03;

/**
 * How often a tyre turns in a kilometre: rolled on the floor before the maker's figure before the printed
 * size, with what each says. From the size it is the free diameter, π·d; under load it turns about 3 %
 * more often. Lengths mm.
 * @throws CoreFailure where the size cannot be read, or neither it nor a figure is given
 * @example '185/65R14' → 596.1 mm, 534.0 turns per km
 */
export function tyreTurns({ size, publishedTurnsPerKm, rolled }: z.output<typeof tyreInput>): Tyre {
  const printed = size === undefined ? null : parseTyre(size);
  const fromSize = printed === null ? null : 1e6 / (Math.PI * printed.diameterMm);
  const sources = [
    ...(rolled ? [{ source: 'rolled' as const, turnsPerKm: (1000 * rolled.turns) / rolled.distanceM, plusMinusPercent: 0.3 }] : []),
    ...(publishedTurnsPerKm ? [{ source: 'published' as const, turnsPerKm: publishedTurnsPerKm, plusMinusPercent: 1 }] : []),
    ...(printed !== null && fromSize !== null
      ? [{ source: 'size' as const, turnsPerKm: fromSize, plusMinusPercent: 100 * (printed.sdShare + LOADED / 2) }]
      : []),
  ].map((known) => ({ ...known, againstSizePercent: fromSize && 100 * (known.turnsPerKm / fromSize - 1) }));
  const [best] = sources;
  if (!best) throw fail('invalid', 'size', { reason: 'sizeOrFigure' });
  const { source, turnsPerKm } = best;
  const circumferenceMm = 1e6 / turnsPerKm;
  return {
    source,
    series: printed?.series ?? null,
    basis: printed?.basis ?? null,
    diameterMm: circumferenceMm / Math.PI,
    circumferenceMm,
    turnsPerKm,
    turnsPerMile: turnsPerKm * KM_PER_MILE,
    fromSize: fromSize === null ? null : { turnsPerKm: fromSize },
    sources,
    loadedTurnsPerKm: fromSize && fromSize * (1 + LOADED),
  };
}
