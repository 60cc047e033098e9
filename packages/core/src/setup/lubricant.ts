import { z } from 'zod';
import { MATERIAL_IDS, type MaterialId } from '../material/materials.ts';
import { fail } from '../failure/CoreFailure.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { FLUIDS } from '../work/remedy.ts';

const NEVERS = ['activeSulphur', 'mineralOnPlastic', 'solventOnPlastic', 'mixedThickeners', 'engineOilInWorm'] as const;
export const LUBRICANTS = [
  'gearOilEp',
  'wormOil',
  'greaseEp',
  'greaseWorm',
  'greasePlastic',
  'instrumentOil',
  'chainOil',
  'engineOil',
] as const;
/** Why: by the pair that runs in it, by what the place holds, by the plate alone, or because it runs dry. */
const REASONS = ['pair', 'contains', 'plateOnly', 'runsDry'] as const;

export const lubricantInput = z.strictObject({
  /** What runs on what. */
  materials: z.tuple([z.enum(MATERIAL_IDS), z.enum(MATERIAL_IDS)]),
  /** A case that holds oil, or a mesh that keeps grease; may be left out where `contains` says it, and never outweighs that. */
  holds: z.enum(['oil', 'grease', 'drop']).optional(),
  /** What the place is made to hold, as the family says. */
  contains: z.enum(FLUIDS).optional(),
  /** At the pitch circle, m/s; where nobody knows it is taken as slow. */
  speedMs: positiveUpTo(200).optional(),
  /** Sliding along the teeth: worm, screw, crossed axes. */
  slides: z.boolean().default(false),
  /** What was in there is unknown or another kind: it is washed out first. */
  otherBefore: z.boolean().default(false),
});
export const lubricantOutput = z.object({
  /** Null: no answer rather than a wrong one. */
  lubricant: z.enum(LUBRICANTS).nullable(),
  /** ISO 3448 viscosity grade of an oil, NLGI class of a grease; null where the plate alone can say. */
  grade: z.string().nullable(),
  because: z.enum(REASONS),
  nevers: z.array(z.enum(NEVERS)),
  /** Wash out what was in there before the new goes in. */
  washFirst: z.boolean(),
  guide: z.literal(true),
});
export type LubricantWarning = (typeof NEVERS)[number];
export type Lubricant = (typeof LUBRICANTS)[number];
export type LubricantReason = (typeof REASONS)[number];

const PLASTICS: ReadonlySet<MaterialId> = new Set(['acetal', 'nylon', 'nylonMoist', 'nylonGlass', 'nylonGlassMoist', 'pbt']);
const YELLOW_METALS: ReadonlySet<MaterialId> = new Set(['bronze', 'brass']);
/** Above this a grease is thrown off and an oil may be thinner, m/s (bench judgement). */
const FAST_MS = 4;

/**
 * What goes into a gear case or onto a mesh, with what must never: a guide wherever the maker says nothing. What the place is made
 * to hold decides before the pair that runs in it. A hydrostat, a hydraulic drive and a brake take what their plate names
 * and nothing else: no pair tells that.
 *
 * Source: ISO 12925-1 (CKC and CKD with extreme-pressure additive for steel on steel, CKE for worm gears with low friction on bronze);
 * ISO 3448 for grades, NLGI classes for greases; active sulphur stains and eats copper alloys (ISO 2160, copper strip test).
 * @throws CoreFailure at `holds` where neither it nor `contains` is given
 * @example steel worm on a bronze wheel in oil → worm oil, ISO VG 460, never one with active sulphur
 */
export function lubricantFor({
  materials,
  holds: given,
  contains,
  speedMs = 1,
  slides,
  otherBefore,
}: z.infer<typeof lubricantInput>): z.infer<typeof lubricantOutput> {
  const holds = contains === undefined ? given : HELD_AS[contains];
  if (holds === undefined) throw fail('missing', 'holds');
  const plastic = materials.some((each) => PLASTICS.has(each));
  const yellow = materials.some((each) => YELLOW_METALS.has(each));
  const fast = speedMs > FAST_MS;
  const byPair = holds === 'oil' || holds === 'grease' || holds === 'drop';
  const nevers: LubricantWarning[] = [
    ...(yellow && byPair ? (['activeSulphur'] as const) : []),
    ...(plastic ? (['mineralOnPlastic', 'solventOnPlastic'] as const) : []),
    ...(slides && !plastic && byPair ? (['engineOilInWorm'] as const) : []),
    ...(otherBefore && holds === 'grease' ? (['mixedThickeners'] as const) : []),
  ];
  return {
    ...(byPair
      ? { ...kindOf({ plastic, yellow, holds, slides, fast }), because: contains === undefined ? ('pair' as const) : ('contains' as const) }
      : OTHERWISE[holds]),
    nevers,
    washFirst: otherBefore || (yellow && holds === 'oil'),
    guide: true,
  };
}

type Held = 'oil' | 'grease' | 'drop' | 'chain' | 'engine' | 'plate' | 'dry';
const HELD_AS: Readonly<Record<(typeof FLUIDS)[number], Held>> = {
  grease: 'grease',
  gearOil: 'oil',
  engineOil: 'engine',
  hydraulicFluid: 'plate',
  hydrostaticFluid: 'plate',
  brakeFluid: 'plate',
  chainOil: 'chain',
  instrumentOil: 'drop',
  dry: 'dry',
};

type Answer = Pick<z.infer<typeof lubricantOutput>, 'lubricant' | 'grade' | 'because'>;
/** What no pair tells. Chain oils go by the season: 46 to 68 in frost, 100 to 150 in summer (bench custom). */
const OTHERWISE: Readonly<Record<Exclude<Held, 'oil' | 'grease' | 'drop'>, Answer>> = {
  chain: { lubricant: 'chainOil', grade: 'ISO VG 46 to 150', because: 'contains' },
  engine: { lubricant: 'engineOil', grade: null, because: 'plateOnly' },
  plate: { lubricant: null, grade: null, because: 'plateOnly' },
  dry: { lubricant: null, grade: null, because: 'runsDry' },
};

interface Pair {
  readonly plastic: boolean;
  readonly yellow: boolean;
  readonly holds: 'oil' | 'grease' | 'drop';
  readonly slides: boolean;
  readonly fast: boolean;
}

function kindOf({ plastic, yellow, holds, slides, fast }: Pair): { readonly lubricant: Lubricant; readonly grade: string } {
  if (holds === 'drop') return { lubricant: 'instrumentOil', grade: 'ISO VG 10 to 22' };
  if (plastic) return { lubricant: 'greasePlastic', grade: fast ? 'NLGI 0 to 1' : 'NLGI 1 to 2' };
  if (holds === 'grease') return { lubricant: yellow || slides ? 'greaseWorm' : 'greaseEp', grade: fast ? 'NLGI 00 to 0' : 'NLGI 1 to 2' };
  if (yellow || slides) return { lubricant: 'wormOil', grade: fast ? 'ISO VG 220 to 320' : 'ISO VG 460' };
  return { lubricant: 'gearOilEp', grade: fast ? 'ISO VG 100 to 150' : 'ISO VG 150 to 220' };
}
