import { degrees } from '../quantity/angle.ts';
import { covarianceOf, median, robustFit } from '../inference/leastSquares.ts';
import { seeded } from '../quantity/seeded.ts';
import { circlesThrough, glimpse, settled, type ToothedArc } from './arc.ts';
import { convexHull } from './hull.ts';
import { shrink, type Plate } from './picture.ts';
import { pixelsOf } from './pixels.ts';
import { isReference, mmBeside } from './reference.ts';
import { lengthBy, perMmOf } from './scale.ts';
import type { ScanProgress } from './scanTeeth.ts';
import type { SectorScan, SectorScanInput, SectorScanRefusal } from './sectorSchema.ts';
import { findWave, isSamePitch } from './wave.ts';
import { closed, largestThing, partedFrom, PARTINGS, thingsOn, type Thing } from './things.ts';

/** Longer side of the plate on which teeth are counted, pixels. */
const FINE = 1000;
/** Fewest teeth, and the least and most of a circle that they go along: beyond, it is a gear with teeth gone. */
const [FEWEST, LEAST_TURN, MOST_TURN] = [4, 0.04, 0.9];
/** Fewest pixels from tooth to tooth. */
const LEAST_PITCH_PX = 5;
/** The depth of teeth by their pitch: 2.25 modules by π as cut (ISO 53), less where they are worn or stubbed. */
const DEPTH_BY_PITCH = [0.35, 0.95] as const;
/** Teeth as a share of their pitch, half way up: half as cut. */
const WIDTH_BY_PITCH = [0.25, 0.7] as const;
/** Their middles lie on an even comb within this share of the pitch: one standard deviation, by trial on scenes. */
const EVEN = 0.09;
/** The line of the tips lies where it lies within so much, pixels of the plate: one standard deviation. */
const CIRCLE_PX = 0.3;
/** A camera that leans by 10° makes an arc longer or shorter by so much: one standard deviation. */
const LEAN_SHARE = 0.008;

/**
 * Counts the teeth of a sector, a quadrant or a segment that lies on the bench, and says over what arc they go: the circle on
 * which their tips lie is looked for among the outermost points of the thing, its middle need not be on it.
 *
 * A photo that cannot be read is an answer, not an error.
 * @throws CoreFailure where the pixels are not as many as width and height say
 * @example thirteen teeth of a wheel of 36 → read, teeth 13, arcDeg 120
 */
export function scanSector(input: SectorScanInput, onProgress: ScanProgress = () => {}): SectorScan {
  const fine = shrink(pixelsOf(input), FINE);
  onProgress('disc', 0.35);
  const near = partedFrom(fine);
  const { reference } = input;
  const isOther = isReference(reference);
  const ways = PARTINGS.map((parting) => {
    const things = closed(near[parting], fine.width);
    const thing = largestThing(fine, { things, isOther });
    return typeof thing === 'string' ? thing : arcsOf(thing, things);
  });
  onProgress('teeth', 0.85);
  const found = ways.flatMap((way) => (typeof way === 'string' ? [] : way));
  if (found.length === 0) return refused(ways.find((way) => typeof way === 'string') ?? 'noTeeth');
  const best = found.reduce((top, each) => (each.clearness > top.clearness ? each : top));
  // One way of parting may lose half of a gear in the glare: where another sees the whole of it, it is whole.
  if (found.some(({ arc, clearness }) => arc.covered > MOST_TURN && clearness > LEAST_CLEAR)) return refused('wholeGear');
  const beside =
    reference && !input.scale ? mmBeside(thingsOn(fine, near.usual), reference, { factor: fine.factor, flatness: 1 }) : undefined;
  return answer(fine, best, { perMm: input.scale ? perMmOf(input.scale) : beside, beside });
}

interface Comb {
  /** Places from the first tooth to the last, and the teeth that stand on them. */
  readonly places: number;
  readonly present: number;
  readonly pitch: number;
  /** One standard deviation of the pitch, radians. */
  readonly pitchOff: number;
  /** How far middles lie from the comb, as a share of the pitch. */
  readonly uneven: number;
}

interface ArcSight {
  readonly arc: ToothedArc;
  readonly comb: Comb;
  readonly clearness: number;
}

/** The circle of the thing on which teeth stand most clearly, where any do. */
function arcsOf(thing: Thing, things: Uint8Array): readonly ArcSight[] {
  const { width, height } = thing;
  const isThing = (x: number, y: number) => {
    const [ix, iy] = [Math.floor(x), Math.floor(y)];
    return ix >= 0 && iy >= 0 && ix < width && iy < height && things[iy * width + ix] === 1;
  };
  const hull = convexHull(thing.rim);
  const reach = Math.sqrt(thing.pixels.length);
  const [likeliest] = circlesThrough(hull, { least: 0.3 * reach, most: 6 * reach, random: seeded(hull.length) })
    .flatMap((circle) => sightOf(glimpse(isThing, circle)))
    .sort((p, q) => q.clearness - p.clearness);
  return likeliest ? sightOf(settled(isThing, likeliest.arc)) : [];
}

function sightOf(arc: ToothedArc | null): readonly ArcSight[] {
  const comb = arc && combOf(arc);
  return comb ? [{ arc, comb, clearness: clearnessOf(arc, comb) }] : [];
}

function combOf({ middles }: ToothedArc): Comb | null {
  if (middles.length < FEWEST) return null;
  const gaps = middles.slice(1).map((at, i) => at - (middles[i] as number));
  const guess = median(gaps);
  const steps = gaps.map((gap) => Math.max(1, Math.round(gap / guess)));
  let place = 0;
  const rows = middles.map((at, i) => {
    if (i > 0) place += steps[i - 1] as number;
    return { factors: [1, place], value: at, weight: 1 };
  });
  const [start, pitch] = robustFit(rows, 2) ?? [];
  if (start === undefined || pitch === undefined) return null;
  const off = Math.sqrt(rows.reduce((sum, { factors: [, k = 0], value }) => sum + (value - start - pitch * k) ** 2, 0) / rows.length);
  const spread = covarianceOf(rows, 2)?.[1]?.[1] ?? 0;
  return { places: place + 1, present: middles.length, pitch, pitchOff: off * Math.sqrt(spread), uneven: off / pitch };
}

/** How much like teeth they are: many, on an even comb, as deep and as wide as teeth are. */
function clearnessOf({ tip, root, widths }: ToothedArc, { places, present, pitch, uneven }: Comb): number {
  const depth = (tip - root) / pitch;
  const width = median(widths) / pitch;
  const within = ([low, high]: readonly [number, number], value: number) => (value > low && value < high ? 1 : 0.1);
  const even = Math.exp(-0.5 * (uneven / EVEN) ** 2);
  return within(DEPTH_BY_PITCH, depth) * within(WIDTH_BY_PITCH, width) * even * (present / places) * Math.min(1, present / 8);
}

type PerMm = ReturnType<typeof perMmOf> | null | undefined;

function answer(
  fine: Plate,
  { arc, comb, clearness }: ArcSight,
  { perMm, beside }: { readonly perMm: PerMm; readonly beside: PerMm },
): SectorScan {
  const { circle, tip, root, middles } = arc;
  const { places, present, pitch, pitchOff } = comb;
  const arcRad = (places - 1) * pitch;
  if (pitch * circle.radius < LEAST_PITCH_PX) return refused('tooFine');
  if (clearness < LEAST_CLEAR || arcRad < 2 * Math.PI * LEAST_TURN) return refused('noTeeth');
  // Two ways of measuring one pitch: tooth by tooth, and the wave of the outline.
  const toothed = arc.reach.subarray(...[middles[0], middles.at(-1)].map((at) => Math.round((at as number) / arc.radians) - arc.from));
  const wave = findWave([toothed], toothed.length / 2);
  if (!wave || !isSamePitch(wave.length * arc.radians, pitch)) return refused('countsDisagree');
  const value = degrees(arcRad);
  // A short arc is nearly straight: how far out its middle lies tells how large its circle is.
  const flatShare = CIRCLE_PX / (circle.radius * (1 - Math.cos(Math.min(Math.PI, arcRad) / 2)));
  const tipRadiusPx = circle.radius * tip * fine.factor;
  const at = (angle: number) => ({
    xPx: (circle.x + circle.radius * tip * Math.cos(angle)) * fine.factor,
    yPx: (circle.y + circle.radius * tip * Math.sin(angle)) * fine.factor,
  });
  return {
    read: true,
    teeth: places,
    teethPresent: present,
    arcDeg: { value, plusMinus: Math.hypot(value * Math.hypot(LEAN_SHARE, flatShare), degrees((places - 1) * pitchOff)) },
    confidence: Math.min(1, clearness),
    centre: { xPx: circle.x * fine.factor, yPx: circle.y * fine.factor },
    tipRadiusPx,
    rootRadiusPx: circle.radius * root * fine.factor,
    from: at(middles[0] as number),
    to: at(middles.at(-1) as number),
    ...(perMm && { tipDiameterMm: lengthBy(perMm, 2 * tipRadiusPx, LEAN_SHARE) }),
    ...(beside !== undefined && { referenceFound: beside !== null }),
  };
}

/** By trial on scenes. */
const LEAST_CLEAR = 0.4;

const refused = (reason: SectorScanRefusal): SectorScan => ({ read: false, reason });
