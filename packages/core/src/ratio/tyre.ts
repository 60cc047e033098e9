import { z } from 'zod';
import { KM_PER_MILE } from './distance.ts';
import { parseTyre } from './tyreSize.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

export const tyreInput = z.strictObject({
  size: z.string().min(3).max(40),
  publishedTurnsPerKm: z.number().min(50).max(5000).optional(),
  rolled: z.strictObject({ turns: positiveUpTo(100_000), distanceM: positiveUpTo(1e6) }).optional(),
});

const SOURCES = ['rolled', 'published', 'size'] as const;
export const tyreOutput = z.object({
  source: z.enum(SOURCES),
  series: z.string(),
  diameterMm: z.number(),
  circumferenceMm: z.number(),
  turnsPerKm: z.number(),
  turnsPerMile: z.number(),
  fromSize: z.object({ turnsPerKm: z.number() }),
  /** Every source there is, best first, and how much more often it turns than the printed size says. */
  sources: z.array(
    z.object({ source: z.enum(SOURCES), turnsPerKm: z.number(), againstSizePercent: z.number(), plusMinusPercent: z.number() }),
  ),
  /** What the printed size comes to with the tyre pressed flat below the wheel. */
  loadedTurnsPerKm: z.number(),
});
export type Tyre = z.infer<typeof tyreOutput>;

/** A tyre under load turns about this much more often than its free diameter says (rule of thumb: 3 in 100). */
export const LOADED = 0.03;

/**
 * How often a tyre turns in a kilometre: rolled on the floor before the maker's figure before the printed
 * size, with what each says. From the size it is the free diameter, π·d; under load it turns about 3 %
 * more often. Lengths mm.
 * @throws CoreFailure where the size cannot be read
 * @example '185/65R14' → 596.1 mm, 534.0 turns per km
 */
export function tyreTurns({ size, publishedTurnsPerKm, rolled }: z.output<typeof tyreInput>): Tyre {
  const { diameterMm, series, sdShare } = parseTyre(size);
  const fromSize = 1e6 / (Math.PI * diameterMm);
  const against = (turnsPerKm: number) => 100 * (turnsPerKm / fromSize - 1);
  const sources = [
    ...(rolled ? [{ source: 'rolled' as const, turnsPerKm: (1000 * rolled.turns) / rolled.distanceM, plusMinusPercent: 0.3 }] : []),
    ...(publishedTurnsPerKm ? [{ source: 'published' as const, turnsPerKm: publishedTurnsPerKm, plusMinusPercent: 1 }] : []),
    { source: 'size' as const, turnsPerKm: fromSize, plusMinusPercent: 100 * (sdShare + LOADED / 2) },
  ].map((each) => ({ ...each, againstSizePercent: against(each.turnsPerKm) }));
  const [best] = sources;
  const turnsPerKm = best?.turnsPerKm ?? fromSize;
  const circumferenceMm = 1e6 / turnsPerKm;
  return {
    source: best?.source ?? 'size',
    series,
    diameterMm: circumferenceMm / Math.PI,
    circumferenceMm,
    turnsPerKm,
    turnsPerMile: turnsPerKm * KM_PER_MILE,
    fromSize: { turnsPerKm: fromSize },
    sources,
    loadedTurnsPerKm: fromSize * (1 + LOADED),
  };
}
