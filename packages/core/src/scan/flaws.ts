import { pictureAngle, straightened, type Lean } from './lean.ts';
import { median, quantile } from '../inference/leastSquares.ts';
import type { RadialExtent } from './outline.ts';
import { RAYS } from './unwrap.ts';

export const FLAWS = ['missing', 'short', 'odd'] as const;

/** A tooth that is not as the others. */
export interface Flaw {
  readonly kind: (typeof FLAWS)[number];
  /** Where its middle is or was: radians from the right, clockwise. */
  readonly angle: number;
}

/** Below these shares of the others' height a tooth is gone, or short. */
const [GONE, SHORT] = [0.4, 0.8];
/** A tooth this much wider or narrower than the others (share of their width), or this far out of step (share of the pitch), is odd. */
const [WIDTH_OFF, STEP_OFF] = [0.4, 0.16];

export interface Teeth {
  readonly flaws: readonly Flaw[];
  readonly tip: number;
  readonly root: number;
  /** Height of each tooth as a share of the usual one. */
  readonly heights: readonly number[];
}

/** Each place of the comb looked at: how high the tooth there stands, how wide it is half way up, and whether it is in step. */
export function judgeTeeth({ reach: seen }: RadialExtent, teeth: number, phase: number, lean: Lean): Teeth {
  const reach = straightened(seen, lean);
  const pitch = RAYS / teeth;
  const at = (place: number) => reach[((Math.round(place) % RAYS) + RAYS) % RAYS] as number;
  const first = (phase / (2 * Math.PI)) * RAYS;
  const spots = Array.from({ length: teeth }, (_, i) => first + i * pitch);
  const window = (middle: number, half: number) =>
    Array.from({ length: Math.max(3, Math.round(2 * half) + 1) }, (_, i) => at(middle - half + i));
  const crests = spots.map((spot) => quantile(window(spot, 0.2 * pitch), 0.7));
  const valleys = spots.map((spot) => quantile(window(spot + pitch / 2, 0.2 * pitch), 0.3));
  const [root, tip] = [quantile(valleys, 0.35), quantile(crests, 0.7)];
  const high = tip - root;
  const heights = crests.map((crest) => (crest - root) / high);
  const shapes = spots.map((spot) => shapeOf(window(spot, pitch / 2), root, high));
  const usual = median(shapes.map(({ width }) => width));
  const middle = median(shapes.map(({ middle: each }) => each));
  const flaws = spots.flatMap((spot, i): Flaw[] => {
    const [height, shape] = [heights[i] as number, shapes[i]];
    const angle = pictureAngle(lean, (2 * Math.PI * spot) / RAYS);
    if (height < GONE) return [{ kind: 'missing', angle }];
    if (height < SHORT) return [{ kind: 'short', angle }];
    const odd = shape && (Math.abs(shape.width / usual - 1) > WIDTH_OFF || Math.abs(shape.middle - middle) > STEP_OFF);
    return odd ? [{ kind: 'odd', angle }] : [];
  });
  return { flaws, tip, root, heights };
}

/** Width half way up, and the middle of what stands there, as shares of the pitch. */
function shapeOf(profile: readonly number[], root: number, high: number): { readonly width: number; readonly middle: number } {
  const lit = profile.map((each) => Math.min(1, Math.max(0, ((each - root) / high - 0.3) / 0.4)));
  const sum = lit.reduce((total, each) => total + each, 0);
  const moment = lit.reduce((total, each, i) => total + each * (i / (profile.length - 1) - 0.5), 0);
  return { width: sum / profile.length, middle: sum === 0 ? 0 : moment / sum };
}
