import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { covarianceOf, leastSquares } from '../inference/leastSquares.ts';
import { degrees, radians } from '../quantity/angle.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { FINEST } from '../quantity/measured.ts';

const angle = z.number().min(-3600).max(3600);
const read = z.strictObject({ value: z.number().min(-10).max(100), plusMinus: z.number().min(0).max(10) });

export const eccentricInput = z.strictObject({
  trials: z.array(z.strictObject({ sleeveDeg: angle, backlashMm: read })).max(100),
  wantedMm: z.number().min(0).max(100),
  eccentricityMm: positiveUpTo(50).optional(),
  pressureAngleDeg: z.number().positive().lt(45).default(20),
});
export type EccentricInput = z.output<typeof eccentricInput>;

export const eccentricOutput = z.object({
  meanMm: z.number(),
  amplitudeMm: z.number(),
  tightestAtDeg: z.number(),
  eccentricityMm: z.number(),
  residualMm: z.number(),
  reachable: z.boolean(),
  angles: z.tuple([z.number(), z.number()]),
  next: z.object({ sleeveDeg: z.number(), backlashMm: z.object({ value: z.number(), plusMinus: z.number() }) }).nullable(),
  /** Two trials fit two sleeves alike: a third tells which. */
  ambiguous: z.boolean(),
});
export type Eccentric = z.infer<typeof eccentricOutput>;

/** j(φ) = mean + a·cos φ + b·sin φ, with what its three numbers are sure to. */
interface Curve {
  readonly mean: number;
  readonly a: number;
  readonly b: number;
  /** Variances and covariances of the three. */
  readonly covariance: readonly (readonly number[])[];
}

/** Trials nearer to each other than this say the same. */
const SAME_DEG = 1;

/**
 * An eccentric sleeve set by trials: backlash follows j(φ) = j₀ + A·cos(φ − φ₀) with A = 2·e·tan α, fitted by least squares,
 * each trial by its ±. The two angles that meet the wanted backlash, the one nearer to the last trial proposed with what it should
 * show; where it cannot be reached, the extreme that comes nearest. From three trials, or two with a known eccentricity.
 *
 * Source: geometry of an eccentric bush; linear least squares with its covariance (Bevington, 6).
 * @throws CoreFailure at `trials` where there are too few, or they lie at one place
 * @example 0.30 at 0°, 0.10 at 180°, 0.20 at 90°, wanted 0.15 → 120° or 240°
 */
export function eccentricSleeve(input: EccentricInput): Eccentric {
  const { trials, wantedMm, eccentricityMm, pressureAngleDeg } = input;
  const places = distinct(trials.map(({ sleeveDeg }) => sleeveDeg));
  const enough = places >= 3 || (places >= 2 && eccentricityMm !== undefined);
  if (!enough) throw fail('nothingGiven', 'trials', { reason: 'moreTrials', given: places, least: eccentricityMm === undefined ? 3 : 2 });
  const slope = 2 * Math.tan(radians(pressureAngleDeg));
  const curve = places >= 3 ? fitted(trials) : throughTwo(trials, (eccentricityMm as number) * slope);
  const { mean, a, b } = curve;
  const amplitudeMm = Math.hypot(a, b);
  const loosest = degrees(Math.atan2(b, a));
  const off = trials.map(({ sleeveDeg, backlashMm }) => backlashMm.value - at(curve, sleeveDeg));
  const share = amplitudeMm === 0 ? Infinity : (wantedMm - mean) / amplitudeMm;
  const reachable = Math.abs(share) <= 1 + 1e-9;
  const half = degrees(Math.acos(Math.min(1, Math.max(-1, share))));
  const angles: [number, number] = [within(loosest - half), within(loosest + half)];
  const last = trials.at(-1)?.sleeveDeg ?? 0;
  const sleeveDeg = apart(angles[0], last) <= apart(angles[1], last) ? angles[0] : angles[1];
  return {
    meanMm: mean,
    amplitudeMm,
    tightestAtDeg: within(loosest + 180),
    eccentricityMm: amplitudeMm / slope,
    residualMm: Math.sqrt(off.reduce((sum, each) => sum + each ** 2, 0) / off.length),
    reachable,
    angles,
    next: reachable ? { sleeveDeg, backlashMm: { value: at(curve, sleeveDeg), plusMinus: standardError(curve, sleeveDeg) } } : null,
    ambiguous: places < 3,
  };
}

const basis = (deg: number): readonly [number, number, number] => [1, Math.cos(radians(deg)), Math.sin(radians(deg))];
const at = ({ mean, a, b }: Curve, deg: number) => mean + a * Math.cos(radians(deg)) + b * Math.sin(radians(deg));
const within = (deg: number) => ((deg % 360) + 360) % 360;
const apart = (p: number, q: number) => Math.abs(((((p - q + 540) % 360) + 360) % 360) - 180);

function distinct(list: readonly number[]): number {
  const kept: number[] = [];
  for (const each of list) if (kept.every((other) => apart(each, other) >= SAME_DEG)) kept.push(each);
  return kept.length;
}

type Trials = EccentricInput['trials'];

function fitted(trials: Trials): Curve {
  const variances = trials.map(({ backlashMm }) => Math.max(FINEST, backlashMm.plusMinus) ** 2);
  // Weighed against the surest trial, so that the sums stay about one.
  const surest = Math.min(...variances);
  const rows = trials.map(({ sleeveDeg, backlashMm }, i) => ({
    factors: basis(sleeveDeg),
    value: backlashMm.value,
    weight: surest / (variances[i] as number),
  }));
  const [mean, a, b] = leastSquares(rows, 3) ?? [];
  const covariance = covarianceOf(rows, 3)?.map((line) => line.map((each) => each * surest));
  if (mean === undefined || a === undefined || b === undefined || !covariance) {
    throw fail('nothingGiven', 'trials', { reason: 'moreTrials', given: 2, least: 3 });
  }
  return { mean, a, b, covariance };
}

/**
 * Two trials and a known amplitude leave two curves. Of those the one whose tightest place still has backlash; of two such the one
 * that is tighter on the whole, which is the safer one to turn by.
 */
function throughTwo(trials: Trials, amplitude: number): Curve {
  const [first, second] = [trials[0], trials.find(({ sleeveDeg }) => apart(sleeveDeg, trials[0]?.sleeveDeg ?? 0) >= SAME_DEG)] as [
    Trials[number],
    Trials[number],
  ];
  const apartBy = 2 * amplitude * Math.abs(Math.sin(radians(first.sleeveDeg - second.sleeveDeg) / 2));
  if (Math.abs(second.backlashMm.value - first.backlashMm.value) > apartBy * (1 + 1e-9)) {
    throw fail('contradiction', 'trials', { reason: 'trialsAgainstEccentricity' });
  }
  const through = (readings: readonly [number, number]) =>
    curvesThrough(readings, { places: [first.sleeveDeg, second.sleeveDeg], amplitude });
  const readings = [first.backlashMm.value, second.backlashMm.value] as const;
  const curves = through(readings);
  const [one, other] = curves;
  const [tighter, looser] = one.mean <= other.mean ? [0, 1] : [1, 0];
  const which = (curves[tighter] as Line).mean - amplitude >= 0 ? tighter : looser;
  const line = curves[which] as Line;
  // What a reading that is off by its ± moves: a step of that size, since close to the extreme a slope says too much.
  const moved = [first, second].map(({ backlashMm: { plusMinus } }, i) => {
    const off = Math.max(FINEST, plusMinus);
    const there = through([readings[0] + (i === 0 ? off : 0), readings[1] + (i === 1 ? off : 0)])[which] as Line;
    return [there.mean - line.mean, there.a - line.a, there.b - line.b];
  });
  const covariance = [0, 1, 2].map((i) => [0, 1, 2].map((k) => moved.reduce((sum, by) => sum + (by[i] ?? 0) * (by[k] ?? 0), 0)));
  return { ...line, covariance };
}

type Line = Omit<Curve, 'covariance'>;

/** The two curves of an amplitude that go through two readings. */
function curvesThrough(
  [here, there]: readonly [number, number],
  { places, amplitude }: { readonly places: readonly [number, number]; readonly amplitude: number },
): readonly [Line, Line] {
  const [p, q] = [radians(places[0]), radians(places[1])];
  const [sum, difference] = [(p + q) / 2, (p - q) / 2];
  const sine = (there - here) / (2 * amplitude * Math.sin(difference));
  const turned = Math.asin(Math.min(1, Math.max(-1, sine)));
  return [sum - turned, sum - (Math.PI - turned)].map((loosest): Line => {
    const mean = here - amplitude * Math.cos(p - loosest);
    return { mean, a: amplitude * Math.cos(loosest), b: amplitude * Math.sin(loosest) };
  }) as [Line, Line];
}

function standardError({ covariance }: Curve, deg: number): number {
  const row = basis(deg);
  return Math.sqrt(row.reduce((sum, p, i) => sum + row.reduce((inner, q, k) => inner + p * q * (covariance[i]?.[k] ?? 0), 0), 0));
}
