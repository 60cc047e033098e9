import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { degrees } from '../quantity/angle.ts';
import { measuredLength } from '../quantity/measured.ts';
import { positiveUpTo, sentence } from '../quantity/bounds.ts';

export const SHAPES = ['round', 'dFlat', 'doubleD', 'square', 'hex', 'key', 'spline'] as const;

/** What was measured of a bore, or of the shaft in it. */
export const section = z.strictObject({
  diameterMm: measuredLength.optional(),
  /** Flat to the round opposite it (D), flat to flat (double D, square, hex). */
  acrossFlatsMm: measuredLength.optional(),
  /** Width of the keyway or key; of a spline, of the space or the tooth. */
  keyWidthMm: measuredLength.optional(),
});
type Section = z.output<typeof section>;

export const boreInput = z.strictObject({
  shape: z.enum(SHAPES),
  bore: section,
  shaft: section,
  /** Turning play at the seat from which on it is worn out; degrees. */
  limitDeg: positiveUpTo(360).default(3),
  /** Whose limit that is; nothing for the rule of thumb. */
  limitSource: sentence.optional(),
});

/** Why it is judged so; worded by the wording package from the figures beside it. */
export const BORE_REASONS = ['measureBoreAndShaft', 'measureSeat', 'boreWider', 'hardlyTight', 'interference', 'turningPlay'] as const;

const measuredValue = z.object({ value: z.number(), plusMinus: z.number() });
export const boreOutput = z.object({
  clearanceMm: measuredValue.optional(),
  /** How far the gear can be turned on the held shaft, end to end. */
  turningPlayDeg: measuredValue.optional(),
  /** The key that ISO/R 773 gives to this shaft. */
  standardKey: z.object({ widthMm: z.number(), heightMm: z.number() }).optional(),
  verdict: z.enum(['good', 'watch', 'replace', 'measureMore']),
  reasons: z.array(z.enum(BORE_REASONS)),
  limitDeg: z.number(),
  limitSource: z.string().optional(),
});
export type BoreSeat = z.infer<typeof boreOutput>;

/** Parallel keys: shafts above the one before up to this, key width and height, mm (ISO/R 773, DIN 6885-1). */
const KEYS = [
  [8, 2, 2],
  [10, 3, 3],
  [12, 4, 4],
  [17, 5, 5],
  [22, 6, 6],
  [30, 8, 7],
  [38, 10, 8],
  [44, 12, 8],
  [50, 14, 9],
  [58, 16, 10],
  [65, 18, 11],
] as const;

const WATCH_SHARE = 0.5;

/**
 * How a gear sits on its shaft: clearance of the round, and for a D, double D, square, hexagon, key or
 * spline how far it can be turned on the held shaft, from corner to corner. Lengths mm, angles degrees;
 * each with its ±. Geometry: a corner at radius r, φ from the middle of its flat, meets a flat at h after
 * φ − acos(h/r).
 * @throws CoreFailure where the shaft is thicker than the bore by more than the readings' ±
 * @example a D of 6 mm with 4.5 across on the shaft and 4.6 in the bore → 4.5° of play, replace
 */
export function boreSeat({ shape, bore, shaft, limitDeg, limitSource }: z.output<typeof boreInput>): BoreSeat {
  const gap = (name: keyof Section) => {
    const [b, s] = [bore[name], shaft[name]];
    if (!b || !s) return undefined;
    const plusMinus = Math.hypot(b.plusMinus, s.plusMinus);
    const value = b.value - s.value;
    if (value < -3 * plusMinus - 0.2) throw fail('contradiction', `shaft.${name}`, { reason: 'shaftThickerThanBore' });
    return { value, plusMinus };
  };
  const clearance = gap('diameterMm');
  const play = turningPlay(shape, shaft, gap);
  const { diameterMm } = shaft;
  const key = shape === 'key' && diameterMm ? KEYS.find(([most]) => diameterMm.value <= most) : undefined;
  return {
    ...(clearance && { clearanceMm: clearance }),
    ...(play && { turningPlayDeg: play }),
    ...(key && diameterMm && diameterMm.value > 6 && { standardKey: { widthMm: key[1], heightMm: key[2] } }),
    limitDeg,
    ...(limitSource !== undefined && { limitSource }),
    ...judged({ shape, clearance, play, limitDeg }),
  };
}

interface Value {
  readonly value: number;
  readonly plusMinus: number;
}

function turningPlay(shape: (typeof SHAPES)[number], shaft: Section, gap: (name: keyof Section) => Value | undefined): Value | undefined {
  if (shape === 'round') return undefined;
  const radius = (shaft.diameterMm?.value ?? NaN) / 2;
  if (shape === 'key' || shape === 'spline') {
    const width = gap('keyWidthMm');
    if (!width || !(radius > 0)) return undefined;
    const scale = degrees(1 / radius);
    return { value: Math.max(0, width.value) * scale, plusMinus: width.plusMinus * scale };
  }
  const flats = gap('acrossFlatsMm');
  if (!flats || !shaft.acrossFlatsMm) return undefined;
  const corner = cornerOf(shape, shaft.acrossFlatsMm.value, radius);
  if (!corner) return undefined;
  const half = (opened: number) => Math.max(0, corner.angle - Math.acos(Math.min(1, (corner.flatMm + opened) / corner.radiusMm)));
  // A D leans on the round opposite its flat: all of the gap opens at the flat. The others share it between two sides.
  const share = shape === 'dFlat' ? 1 : 0.5;
  const opened = Math.max(0, flats.value * share);
  const slope = (half(opened + 1e-4) - half(Math.max(0, opened - 1e-4))) / (opened >= 1e-4 ? 2e-4 : 1e-4 + opened);
  return { value: degrees(2 * half(opened)), plusMinus: degrees(2 * slope * flats.plusMinus * share) };
}

/** Corner of the shaft: how far out, the flat's distance from the middle, and the angle between. */
function cornerOf(shape: 'dFlat' | 'doubleD' | 'square' | 'hex', acrossMm: number, radius: number) {
  if (shape === 'square' || shape === 'hex') {
    const angle = Math.PI / (shape === 'square' ? 4 : 6);
    return { flatMm: acrossMm / 2, radiusMm: acrossMm / 2 / Math.cos(angle), angle };
  }
  if (!(radius > 0)) return null;
  const flatMm = shape === 'dFlat' ? acrossMm - radius : acrossMm / 2;
  if (flatMm <= 0 || flatMm >= radius) return null;
  return { flatMm, radiusMm: radius, angle: Math.acos(flatMm / radius) };
}

interface JudgedOptions {
  readonly shape: (typeof SHAPES)[number];
  readonly clearance: Value | undefined;
  readonly play: Value | undefined;
  readonly limitDeg: number;
}

function judged({ shape, clearance, play, limitDeg }: JudgedOptions): Pick<BoreSeat, 'verdict' | 'reasons'> {
  if (shape === 'round') {
    if (!clearance) return { verdict: 'measureMore', reasons: ['measureBoreAndShaft'] };
    if (clearance.value > 2 * clearance.plusMinus) return { verdict: 'replace', reasons: ['boreWider'] };
    if (clearance.value > -clearance.plusMinus) return { verdict: 'watch', reasons: ['hardlyTight'] };
    return { verdict: 'good', reasons: ['interference'] };
  }
  if (!play) return { verdict: 'measureMore', reasons: ['measureSeat'] };
  if (play.value >= limitDeg) return { verdict: 'replace', reasons: ['turningPlay'] };
  return { verdict: play.value + 2 * play.plusMinus >= WATCH_SHARE * limitDeg ? 'watch' : 'good', reasons: ['turningPlay'] };
}
