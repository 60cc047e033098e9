import { CoreFailure } from '../failure/CoreFailure.ts';
import type { MaterialId } from '../material/materials.ts';
import { toothInput, toothStrength } from '../strength/tooth.ts';
import type { Remedy } from '../work/remedy.ts';

/** What is known of a gear that may be made, by its readings. Lengths mm. */
export interface ToothFacts {
  readonly teeth?: number | undefined;
  readonly normalModuleMm?: number | undefined;
  readonly helixAngleDeg?: number | undefined;
  readonly faceWidthMm?: number | undefined;
  /** What the family says that it is of. */
  readonly material?: MaterialId | undefined;
}

/** What a tooth of a made gear bears, as torque at that gear, against what the driver can bring there, N·m. */
export interface MadeToothStrength {
  readonly way: 'tooth';
  /** Null where a measure is missing. */
  readonly holdsNm: number | null;
  readonly needNm: number | null;
  readonly missing: readonly ('teeth' | 'normalModuleMm' | 'faceWidthMm' | 'material')[];
}

/**
 * The tooth of a gear that would be made in the shop, bent at its foot by Lewis (`strength.tooth`): of what the remedy makes it, else
 * of what the gear is. A worm wheel is reckoned as a spur of its module: its teeth are curved round the worm and bear no less. Null
 * where the remedy makes none, or asks for no sum.
 */
export function madeTooth({ kind, checks }: Pick<Remedy, 'kind' | 'checks'>, known: ToothFacts | undefined): MadeToothStrength | null {
  const check = checks.find(({ operation }) => operation === 'strength.tooth');
  if (kind !== 'make' || !check) return null;
  const needNm = check.loadNm?.high ?? null;
  const { teeth, normalModuleMm, faceWidthMm, helixAngleDeg = 0 } = known ?? {};
  const material = check.material ?? known?.material;
  const facts = { teeth, normalModuleMm, faceWidthMm, material };
  const missing = (['teeth', 'normalModuleMm', 'faceWidthMm', 'material'] as const).filter((name) => facts[name] === undefined);
  if (missing.length > 0) return { way: 'tooth', holdsNm: null, needNm, missing };
  const input = toothInput.safeParse({ gear: { teeth, normalModuleMm, faceWidthMm, helixAngleDeg, material }, torqueNm: needNm ?? 1 });
  return { way: 'tooth', holdsNm: input.success ? bornBy(input.data) : null, needNm, missing };
}

/** Nothing where there is no such gear: the sum does not say, and neither do we. */
function bornBy(input: Parameters<typeof toothStrength>[0]): number | null {
  try {
    return toothStrength(input).torqueCapacityNm;
  } catch (error) {
    if (error instanceof CoreFailure) return null;
    throw error;
  }
}
