import { stake } from '../fit/boreOut.ts';
import { bond, solder } from '../fit/bond.ts';
import { pressFit, pressInput } from '../fit/press.ts';
import type { MaterialId } from '../material/materials.ts';
import type { Remedy } from '../work/remedy.ts';

/** What was measured of a gear and the shaft that it sits on. Lengths mm. */
export interface SeatFacts {
  readonly shaftMm?: number | undefined;
  readonly boreMm?: number | undefined;
  /** How long the two touch. */
  readonly lengthMm?: number | undefined;
  /** Over what is solid round the bore: the roots of the teeth. */
  readonly outerMm?: number | undefined;
  readonly material?: MaterialId | undefined;
}

/** Whether what is saved carries what the driver can bring to its seat, N·m. */
export interface SeatStrength {
  readonly way: 'bond' | 'solder' | 'stake' | 'press';
  /** Null where a measure is missing. */
  readonly holdsNm: number | null;
  /** Null where nobody said what the driver brings there. */
  readonly needNm: number | null;
  readonly missing: readonly (keyof SeatFacts)[];
}

/**
 * Shear strength until the sheet of what is used says another: the low end of what retaining compounds and soft solder are sold with
 * (guide values; half of it is counted on besides).
 */
const GUIDE_MPA = { bond: 10, solder: 20 } as const;
/** A compound fills no wider gap on the diameter, and a soft solder creeps into none that is wider (guide values). */
const MOST_GAP_MM = { bond: 0.25, solder: 0.15 } as const;
/** A staked bore is closed to hold by so much, and its punch marks hold on so much of the round (bench rules of thumb). */
const [HOLDS_BY_MM, STAKED_SHARE] = [0.02, 1 / 3];

type Known = Readonly<Record<'shaftMm' | 'boreMm' | 'lengthMm', number>>;

/** What a joint filled with something bears; nothing where its gap is too wide. */
function filled(way: 'bond' | 'solder', { shaftMm, boreMm, lengthMm }: Known): number {
  const gapMm = Math.max(0, boreMm - shaftMm);
  if (gapMm > MOST_GAP_MM[way]) return 0;
  const joint = { diameterMm: shaftMm, lengthMm, gapMm, shearStrengthMPa: GUIDE_MPA[way], factor: 0.5 };
  return (way === 'bond' ? bond(joint).torqueNm : solder({ ...joint, replaceable: true }).torqueNm) ?? 0;
}

/** What a bore bears that is closed to hold by a little, or is tighter already, as far as gear and shaft stay elastic; nothing where staking cannot close it so far, or the gear is too hard. */
function squeezed(
  way: 'stake' | 'press',
  { shaftMm, boreMm, lengthMm, outerMm, material }: Known & { outerMm: number; material: MaterialId },
): number {
  if (outerMm <= shaftMm) return 0;
  if (way === 'stake') {
    const { warnings } = stake({ shaftDiameterMm: shaftMm, boreNowMm: boreMm, wantedInterferenceMm: HOLDS_BY_MM, material });
    if (warnings.includes('notSoft') || warnings.includes('tooMuchToClose')) return 0;
  }
  const interferenceMm = way === 'stake' ? HOLDS_BY_MM : shaftMm - boreMm;
  if (interferenceMm <= 0) return 0;
  const hub = { outerDiameterMm: outerMm, lengthMm, material };
  const pressed = pressFit(pressInput.parse({ shaft: { diameterMm: shaftMm, material: 'steel' }, hub, interferenceMm }));
  const elastic = pressed.torqueNm / Math.max(1, pressed.hubUtilisation, pressed.shaftUtilisation);
  return way === 'stake' ? elastic * STAKED_SHARE : elastic;
}

/** The sum of a remedy that saves a seat, on what was measured of it; null where it has none. */
export function seatStrength(
  { kind, checks }: Pick<Remedy, 'kind' | 'checks'>,
  seats: Readonly<Record<string, SeatFacts>>,
): SeatStrength | null {
  if (kind !== 'save') return null;
  const ways = { 'fit.bond': 'bond', 'fit.solder': 'solder', 'fit.stake': 'stake', 'fit.press': 'press' } as const;
  for (const { operation, about, loadNm } of checks) {
    const way = operation in ways ? ways[operation as keyof typeof ways] : undefined;
    if (way) return judged(way, seats[about] ?? {}, loadNm?.high ?? null);
  }
  return null;
}

function judged(way: SeatStrength['way'], seat: SeatFacts, needNm: number | null): SeatStrength {
  const needed = [
    'shaftMm',
    'boreMm',
    'lengthMm',
    ...(way === 'stake' || way === 'press' ? (['outerMm', 'material'] as const) : []),
  ] as const;
  const missing = needed.filter((name) => seat[name] === undefined);
  if (missing.length > 0) return { way, holdsNm: null, needNm, missing };
  const known = seat as Required<SeatFacts> & Known & { outerMm: number; material: MaterialId };
  return { way, holdsNm: way === 'bond' || way === 'solder' ? filled(way, known) : squeezed(way, known), needNm, missing };
}
