import { z } from 'zod';
import { MATERIAL_IDS, type MaterialId } from '../material/materials.ts';
import { positiveUpTo } from '../quantity/bounds.ts';

const NEVERS = ['activeSulphur', 'mineralOnPlastic', 'solventOnPlastic', 'mixedThickeners', 'engineOilInWorm'] as const;
export const LUBRICANTS = ['gearOilEp', 'wormOil', 'greaseEp', 'greaseWorm', 'greasePlastic', 'instrumentOil'] as const;

export const lubricantInput = z.strictObject({
  /** What runs on what. */
  materials: z.tuple([z.enum(MATERIAL_IDS), z.enum(MATERIAL_IDS)]),
  /** A case that holds oil, or a mesh that keeps grease. */
  holds: z.enum(['oil', 'grease', 'drop']),
  /** At the pitch circle, m/s; where nobody knows it is taken as slow. */
  speedMs: positiveUpTo(200).optional(),
  /** Sliding along the teeth: worm, screw, crossed axes. */
  slides: z.boolean().default(false),
  /** What was in there is unknown or another kind: it is washed out first. */
  otherBefore: z.boolean().default(false),
});
export const lubricantOutput = z.object({
  lubricant: z.enum(LUBRICANTS),
  /** ISO 3448 viscosity grade of an oil, NLGI class of a grease. */
  grade: z.string(),
  nevers: z.array(z.enum(NEVERS)),
  /** Wash out what was in there before the new goes in. */
  washFirst: z.boolean(),
  guide: z.literal(true),
});
export type LubricantWarning = (typeof NEVERS)[number];
export type Lubricant = (typeof LUBRICANTS)[number];

const PLASTICS: ReadonlySet<MaterialId> = new Set(['acetal', 'nylon', 'nylonMoist', 'nylonGlass', 'nylonGlassMoist', 'pbt']);
const YELLOW_METALS: ReadonlySet<MaterialId> = new Set(['bronze', 'brass']);
/** Above this a grease is thrown off and an oil may be thinner, m/s (bench judgement). */
const FAST_MS = 4;

/**
 * What goes into a gear case or onto a mesh by the pair that runs in it, with what must never: a guide wherever the maker says nothing.
 *
 * Source: ISO 12925-1 (CKC and CKD with extreme-pressure additive for steel on steel, CKE for worm gears with low friction on bronze);
 * ISO 3448 for grades, NLGI classes for greases; active sulphur stains and eats copper alloys (ISO 2160, copper strip test).
 * @example steel worm on a bronze wheel in oil → worm oil, ISO VG 460, never one with active sulphur
 */
export function lubricantFor({
  materials,
  holds,
  speedMs = 1,
  slides,
  otherBefore,
}: z.infer<typeof lubricantInput>): z.infer<typeof lubricantOutput> {
  const plastic = materials.some((each) => PLASTICS.has(each));
  const yellow = materials.some((each) => YELLOW_METALS.has(each));
  const fast = speedMs > FAST_MS;
  const nevers: LubricantWarning[] = [
    ...(yellow ? (['activeSulphur'] as const) : []),
    ...(plastic ? (['mineralOnPlastic', 'solventOnPlastic'] as const) : []),
    ...(slides && !plastic ? (['engineOilInWorm'] as const) : []),
    ...(otherBefore && holds === 'grease' ? (['mixedThickeners'] as const) : []),
  ];
  return {
    ...kindOf({ plastic, yellow, holds, slides, fast }),
    nevers,
    washFirst: otherBefore || (yellow && holds === 'oil'),
    guide: true,
  };
}

interface Pair {
  readonly plastic: boolean;
  readonly yellow: boolean;
  readonly holds: z.infer<typeof lubricantInput>['holds'];
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
