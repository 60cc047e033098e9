import { median } from '../inference/leastSquares.ts';
import { straightened, type Lean } from './lean.ts';
import type { Teeth } from './flaws.ts';
import type { RadialExtent } from './outline.ts';
import { RAYS } from './unwrap.ts';

export const SIDES = ['clockwise', 'anticlockwise'] as const;

/** Which side of the teeth has lost more than the other, and how much. */
export interface Flanks {
  /** The flanks that face this way on the photo; null where the two are alike within what can be seen. */
  readonly wornMore: (typeof SIDES)[number] | null;
  /** Of a tooth's thickness at the pitch circle, at least: the foot that it is held against may be worn as well. */
  readonly share: { readonly value: number; readonly plusMinus: number };
}

/** Fewest rays from tooth to tooth, and fewest teeth, that tell a flank from the other. */
const [LEAST_RAYS, LEAST_TEETH] = [24, 5];
/** The foot below the flanks that work, which nothing wears, and the height at which they are looked at; shares of a tooth's height. */
const [FOOT, FLANK] = [0.2, 0.62];
/** What light and the camera's lean leave however many teeth there are: one standard deviation, by trial on scenes. */
const FINEST = 0.02;
/** So many of its ± the difference has to be, to be one. */
const SURE = 3;

/**
 * Compares both flanks of each whole tooth: wear takes them above the foot, so that the middle of a tooth moves away from the side
 * that is worn. A lean of the camera moves it one way on one side of the gear and the other way on the other. Null where the teeth
 * are too fine or too few.
 */
export function flanksOf(
  { reach: seen }: RadialExtent,
  { tip, root, heights }: Teeth,
  { teeth, phase, lean }: { readonly teeth: number; readonly phase: number; readonly lean: Lean },
): Flanks | null {
  const pitch = RAYS / teeth;
  if (pitch < LEAST_RAYS) return null;
  const reach = straightened(seen, lean);
  const high = tip - root;
  const first = (phase / (2 * Math.PI)) * RAYS;
  const moved = heights.flatMap((height, i) => {
    if (height < 0.8) return [];
    const middle = first + i * pitch;
    const [foot, flank] = [FOOT, FLANK].map((share) => middleAt(reach, { middle, half: pitch / 2, level: root + share * high }));
    return foot === null || foot === undefined || flank === null || flank === undefined ? [] : [(flank - foot) / pitch];
  });
  if (moved.length < LEAST_TEETH) return null;
  const value = median(moved);
  const scatter = 1.4826 * median(moved.map((each) => Math.abs(each - value)));
  // Half a pitch is tooth, and its middle moves by half of what one flank loses.
  const share = 4 * value;
  const plusMinus = Math.hypot(FINEST, (4 * 1.25 * scatter) / Math.sqrt(moved.length));
  const side = SIDES[share < 0 ? 0 : 1];
  return { wornMore: Math.abs(share) > SURE * plusMinus ? (side ?? null) : null, share: { value: Math.abs(share), plusMinus } };
}

/** Middle between where a tooth comes up through a level and where it goes down again; null where it does not. */
function middleAt(
  reach: Float32Array,
  { middle, half, level }: { readonly middle: number; readonly half: number; readonly level: number },
): number | null {
  const at = (place: number) => reach[((place % RAYS) + RAYS) % RAYS] as number;
  const crossing = (way: 1 | -1) => {
    for (let k = 0; k < half * 1.1; k++) {
      const [near, far] = [Math.round(middle) + way * k, Math.round(middle) + way * (k + 1)];
      const [inner, outer] = [at(near), at(far)];
      if (inner >= level && outer < level) return near + (way * (inner - level)) / (inner - outer);
    }
    return null;
  };
  const [down, up] = [crossing(-1), crossing(1)];
  return down === null || up === null ? null : (down + up) / 2;
}
