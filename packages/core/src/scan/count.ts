import { evenAngle, leanOf, straightened, type Lean } from './lean.ts';
import { median } from '../inference/leastSquares.ts';
import type { RadialExtent } from './outline.ts';
import { DEPTHS, RAYS, stepAt, type UnrolledRing } from './unwrap.ts';

/** The fewest and most teeth that are looked for. */
export const [FEWEST, MOST] = [6, 160];

export interface Count {
  readonly teeth: number;
  /** How clearly, 0 to 1. */
  readonly strength: number;
  /** Angle of the middle of a tooth, radians from the right, clockwise. */
  readonly phase: number;
}

/** A count by the teeth one by one, and how the lean of the camera bends their comb. */
export interface CombCount extends Count {
  readonly lean: Lean;
}

/** By the wave that the outline makes round the gear: the number of whole waves that stands out most. */
export const countByOutline = ({ reach }: RadialExtent, lean: Lean): Count | null => strongestWave(straightened(reach, lean));

/** By light and dark on rings half way up the teeth, without asking what is gear. */
export function countByShading({ bright }: UnrolledRing, { tip, root }: RadialExtent, lean: Lean): Count | null {
  const [from, to] = [stepAt(root + 0.3 * (tip - root)), stepAt(root + 0.75 * (tip - root))];
  const ring = new Float32Array(RAYS);
  for (let ray = 0; ray < RAYS; ray++) {
    let sum = 0;
    for (let step = from; step <= to; step++) sum += bright[ray * DEPTHS + step] as number;
    ring[ray] = sum / (to - from + 1);
  }
  return strongestWave(straightened(ring, lean));
}

/** Leans that are tried: the near half of a rim seen from six radii away at 20° is bent by 0.06, at 35° by 0.1. */
const [LEAN_STEP, LEAN_STEPS] = [0.012, 10];
/** The least bent first. */
const LEANS = Array.from({ length: 2 * LEAN_STEPS + 1 }, (_, i) => LEAN_STEP * (i % 2 === 0 ? -i / 2 : (i + 1) / 2));

/** By the teeth one by one: middles between a rising and a falling edge, and the comb that fits them best. */
export function countByEdges({ reach, tip, root }: RadialExtent): CombCount | null {
  const seen = toothMiddles(reach, root + 0.45 * (tip - root), root + 0.6 * (tip - root));
  if (seen.length < 4) return null;
  const gaps = seen.map((at, i) => ((seen[(i + 1) % seen.length] as number) - at + 2 * Math.PI) % (2 * Math.PI));
  const guess = (2 * Math.PI) / median(gaps);
  const from = Math.max(FEWEST, Math.floor(0.84 * guess));
  const to = Math.min(MOST, Math.ceil(1.16 * guess));
  const walked = walkRound(gaps);
  const leaned = LEANS.flatMap((east) =>
    LEANS.map((south) => {
      const lean: Lean = [east, south, 0, 0];
      return { lean, even: seen.map((at) => evenAngle(lean, at)) };
    }),
  );
  const off = (teeth: number) => OFF_WALK * Math.abs(teeth - walked);
  const counts = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i).sort((p, q) => off(p) - off(q));
  let best: (CombCount & { readonly score: number }) | null = null;
  for (const teeth of counts) {
    // No comb is better than one that fits everywhere.
    if (best && 1 - off(teeth) <= best.score) break;
    for (const { lean, even } of leaned) {
      const comb = combStrength(even, teeth);
      const score = comb.strength - off(teeth);
      if (!best || score > best.score) best = { teeth, ...comb, lean, score };
    }
  }
  if (!best) return null;
  const lean = leanOf(seen, best.teeth, best.phase, best.lean);
  const finer = combStrength(
    seen.map((at) => evenAngle(lean, at)),
    best.teeth,
  );
  return finer.strength > best.strength ? { teeth: best.teeth, ...finer, lean } : best;
}

/** What a comb loses for each tooth that it is off the count from tooth to tooth: a shadow can bend the rim like a lean. */
const OFF_WALK = 0.08;

/** Places from tooth to tooth round the gear, each gap in pitches of its own neighbourhood. */
function walkRound(gaps: readonly number[]): number {
  const near = (i: number) => median([-4, -3, -2, -1, 0, 1, 2, 3, 4].map((by) => gaps[(i + by + gaps.length) % gaps.length] as number));
  return gaps.reduce((sum, gap, i) => sum + Math.max(1, Math.round(gap / near(i))), 0);
}

/** How well angles sit on a comb: 1 where all do (length of the mean direction, Mardia and Jupp 2000). */
function combStrength(angles: readonly number[], teeth: number): { readonly strength: number; readonly phase: number } {
  let [east, south] = [0, 0];
  for (const at of angles) {
    east += Math.cos(teeth * at);
    south += Math.sin(teeth * at);
  }
  return { strength: Math.hypot(east, south) / angles.length, phase: Math.atan2(south, east) / teeth };
}

/** Middles of the teeth that come up through `high` and go down through `low`, radians. */
function toothMiddles(reach: Float32Array, low: number, high: number): readonly number[] {
  const start = reach.findIndex((each) => each < low);
  if (start < 0) return [];
  const middles: number[] = [];
  let risen: number | null = null;
  let up = false;
  for (let i = 1; i <= RAYS; i++) {
    const value = reach[(start + i) % RAYS] as number;
    if (!up && value > high) [up, risen] = [true, start + i];
    else if (up && value < low) {
      up = false;
      middles.push((2 * Math.PI * ((risen as number) + start + i)) / 2 / RAYS);
    }
  }
  return middles.map((at) => at % (2 * Math.PI));
}

/** The wave number that stands out most from its neighbours, with the phase of its crest. */
export function strongestWave(ring: Float32Array): Count | null {
  const mean = ring.reduce((sum, each) => sum + each, 0) / RAYS;
  const power = new Float64Array(2 * MOST + 1);
  const phase = new Float64Array(2 * MOST + 1);
  // One full turn of sines, looked up: k · ray stays a whole number.
  const sine = SINE;
  for (let k = 1; k <= 2 * MOST; k++) {
    let [east, south] = [0, 0];
    for (let ray = 0; ray < RAYS; ray++) {
      const at = (k * ray) % RAYS;
      const value = (ring[ray] as number) - mean;
      east += value * (sine[(at + RAYS / 4) % RAYS] as number);
      south += value * (sine[at] as number);
    }
    power[k] = Math.hypot(east, south);
    phase[k] = Math.atan2(south, east) / k;
  }
  const around = (k: number) => median([...power.slice(Math.max(2, k - 9), Math.max(2, k - 1)), ...power.slice(k + 2, k + 10)]);
  let best = 0;
  let bestScore = 0;
  for (let k = FEWEST; k <= MOST; k++) {
    // The second harmonic is a tooth's corners: it belongs to the same teeth.
    const score = (power[k] as number) + 0.3 * (power[2 * k] as number) - around(k);
    if (score > bestScore) [best, bestScore] = [k, score];
  }
  if (best === 0) return null;
  const rest = around(best);
  return { teeth: best, strength: 1 - Math.min(1, (3 * rest) / (power[best] as number)), phase: phase[best] as number };
}

const SINE = Float64Array.from({ length: RAYS }, (_, i) => Math.sin((2 * Math.PI * i) / RAYS));
