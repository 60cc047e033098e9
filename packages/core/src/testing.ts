import type { DraftFacts } from './decide/draft.ts';
import { CoreFailure } from './failure/CoreFailure.ts';
import { cutOf, type Cut } from './gear/cylindrical/profile.ts';
import { seeded } from './quantity/seeded.ts';
import type { Pack } from './trace/pack.ts';
import { gearsOfFault } from './trace/remedies.ts';

export { seeded };

const { THOROUGH, COMMIT = '' } = process.env;

/**
 * So many of what would take minutes, others with each commit that is tested; all of it with `THOROUGH=1`.
 * In the order of the list.
 */
export function sampled<T>(all: readonly T[], few: number): readonly T[] {
  if (THOROUGH) return all;
  const random = seeded(parseInt(COMMIT.slice(0, 7) || '0', 16));
  const chosen = new Set(
    all
      .map((_, i) => ({ i, place: random() }))
      .sort((p, q) => p.place - q.place)
      .slice(0, few)
      .map(({ i }) => i),
  );
  return all.filter((_, i) => chosen.has(i));
}

/** How often a property is tried: the first, or with `THOROUGH=1` the second. */
export const runs = (few: number, many: number): number => (THOROUGH ? many : few);

/** A normal error with standard deviation 1 (Box and Muller 1958). */
export const gaussian = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A straight gear as ISO 53 cuts it, 25 teeth of module 1 but for what is said. */
export const cutWith = (change: Partial<Parameters<typeof cutOf>[0]> = {}): Cut =>
  cutOf({
    teeth: 25,
    normalModuleMm: 1,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    addendumCoefficient: 1,
    dedendumCoefficient: 1.25,
    toothThinningMm: 0,
    ...change,
  });

/** What a call refuses, as data. */
export function refusalOf(call: () => unknown): CoreFailure {
  try {
    call();
  } catch (error) {
    if (error instanceof CoreFailure) return error;
    throw error;
  }
  throw new Error('it was taken');
}

/** A family as it was written before there were several remedies: one of each fault, in a sentence. */
export const withOneRemedyEach = (pack: Pack): Pack => ({
  ...pack,
  faults: pack.faults.map((fault) => {
    const [usual] = fault.remedies;
    const kind = usual?.kind === 'clean' || usual?.kind === 'adjust' ? usual.kind : 'replace';
    const [part] = gearsOfFault(pack, fault);
    return { ...fault, remedies: [], remedy: { kind, text: usual?.name ?? '', minutes: 15, ...(part && { part }) } };
  }),
});

/** What options are drafted from while nothing is open, measured or asked, but for what is said. */
export const draftFactsOf = (pack: Pack, faults: readonly string[], more: Partial<DraftFacts> = {}): DraftFacts => ({
  pack,
  faults: faults.flatMap((id) => pack.faults.find((each) => each.id === id) ?? []),
  opened: [],
  stuck: [],
  offers: [],
  asked: [],
  seats: {},
  wear: {},
  donors: 0,
  canBeMade: true,
  unit: 'hours',
  rateMinor: 6000,
  ...more,
});
