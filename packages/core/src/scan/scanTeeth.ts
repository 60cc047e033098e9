import { degrees } from '../quantity/angle.ts';
import { countByEdges, countByOutline, countByShading, type Count } from './count.ts';
import { findDisc } from './disc.ts';
import { judgeTeeth, type Teeth } from './flaws.ts';
import { flanksOf } from './flanks.ts';
import { frameOf, type Frame } from './frame.ts';
import { UPRIGHT } from './lean.ts';
import { robustFit } from '../inference/leastSquares.ts';
import { reachOf, rootOf, type RadialExtent } from './outline.ts';
import { shrink, shrinkPlate, type Plate } from './picture.ts';
import { isReference, mmBeside } from './reference.ts';
import { lengthBy, perMmBy } from './scale.ts';
import { thingsOn } from './things.ts';
import { pixelsOf } from './pixels.ts';
import type { Scan, ScanInput, ScanRefusal } from './schema.ts';
import { DEPTHS, RAYS, stepAt, unroll, type UnrolledRing } from './unwrap.ts';

/** Longer side of the plate on which the disc is looked for, and of that on which the teeth are counted; pixels. */
const [COARSE, FINE] = [340, 1300];
/** The rim may be this flat: the camera leans by 35°, and a little more. Beyond, teeth hide each other, or a shadow was taken for teeth. */
const FLATTEST = Math.cos((38 * Math.PI) / 180);
/** Least contrast of gear and bench, in spreads of their colours. */
const LEAST_CONTRAST = 1.2;
/** Fewest pixels from tooth to tooth. */
const LEAST_PITCH_PX = 4;
/** Smallest rim, in pixels of the photo. */
const LEAST_RADIUS_PX = 40;

/** Teeth at least this deep, in modules of the count (2.25 as cut, ISO 53): less is a rough edge, or the corners of a nut (0.54 of six). */
const LEAST_DEPTH = 0.65;
/**
 * Things with arms, points or corners have up to so many of them; of more teeth only a gear is made. Of so few
 * the ways of counting have to be surer, and the rim below the teeth more whole.
 */
const FEW = 9;
const LEAST_CONFIDENCE = { few: 0.73, many: 0.4 } as const;

export type ScanProgress = (stage: 'disc' | 'rim' | 'teeth', share: number) => void;

/**
 * Counts the teeth of a gear on a photo: finds the disc on the bench, fits centre and rim, unrolls it,
 * and counts in three ways (the wave of the outline, the teeth one by one, light and dark half way up)
 * of which two have to agree. Places in pixels of the photo, x to the right, y down. With two points on
 * a known length the diameters follow in mm. Where a human has put centre, rim or count right, that holds.
 *
 * A photo that cannot be read is an answer, not an error: refused with the reason and with how to take a
 * better one.
 * @throws CoreFailure where the pixels are not as many as width and height say
 * @example 24 teeth of which two are gone → read, teeth 24, teethPresent 22, two flaws of the kind missing
 */
export function scanTeeth(input: ScanInput, onProgress: ScanProgress = () => {}): Scan {
  const { correction = {} } = input;
  const fine = shrink(pixelsOf(input), FINE);
  onProgress('disc', 0.35);
  const coarse = shrinkPlate(fine, COARSE);
  const { reference } = input;
  const start = startingFrame(findDisc(coarse, isReference(reference)), coarse.factor / fine.factor, fine, correction);
  if (typeof start === 'string') return refused(start);
  onProgress('rim', 0.55);
  const settled = settle(fine, start, correction);
  onProgress('teeth', 0.85);
  return answer(input, fine, settled);
}

type Correction = NonNullable<ScanInput['correction']>;

/** Where to begin, on the fine plate: what was found, or what the human says. */
function startingFrame(found: Frame | string, factor: number, fine: Plate, { centre, tipRadiusPx }: Correction): Frame | ScanRefusal {
  const base = typeof found === 'string' ? null : found.scaled(factor);
  if (!centre && tipRadiusPx === undefined) return base ?? (found as ScanRefusal);
  const x = centre ? centre.xPx / fine.factor : base?.x;
  const y = centre ? centre.yPx / fine.factor : base?.y;
  const radius = tipRadiusPx === undefined ? base?.long : tipRadiusPx / fine.factor;
  if (x === undefined || y === undefined || radius === undefined) return found as ScanRefusal;
  return frameOf(x, y, radius);
}

interface RingFit {
  readonly frame: Frame;
  readonly unrolled: UnrolledRing;
  readonly reach: RadialExtent;
}

/** Unrolls, finds where the tips lie, moves the frame there, and again. What a human put right is not moved. */
function settle(fine: Plate, start: Frame, { centre, tipRadiusPx }: Correction): RingFit {
  let frame = start;
  let root = 0.75;
  for (let round = 0; ; round++) {
    const unrolled = unroll(fine, frame, root);
    root = Math.min(0.97, Math.max(0.5, rootOf(unrolled)));
    const reach = reachOf(unrolled, root);
    const held = centre !== undefined || tipRadiusPx !== undefined;
    if (round === 3 || (held && round === 1)) return { frame, unrolled, reach };
    if (held) continue;
    const moved = tipsOf(reach);
    if (!moved || still(moved)) return { frame, unrolled, reach };
    frame = frame.moved(moved);
  }
}

/** A frame that moves by less than this share of the radius is where it belongs. */
const STILL = 0.002;
const still = ([radius = 1, ...rest]: readonly number[]) => Math.max(Math.abs(radius - 1), ...rest.map(Math.abs)) < STILL;

/** How the tips run round the frame: crests of the outline, and the ellipse through most of them. */
function tipsOf({ reach, tip, root }: RadialExtent): readonly number[] | null {
  const line = root + 0.6 * (tip - root);
  const crests: { at: number; radius: number }[] = [];
  let from = -1;
  for (let i = 0; i <= RAYS; i++) {
    const above = i < RAYS && (reach[i] as number) > line;
    if (above && from < 0) from = i;
    if (above || from < 0) continue;
    let best = from;
    for (let j = from; j < i; j++) if ((reach[j] as number) > (reach[best] as number)) best = j;
    crests.push({ at: (2 * Math.PI * ((from + i) / 2)) / RAYS, radius: reach[best] as number });
    from = -1;
  }
  if (crests.length < 6) return null;
  const unknowns = crests.length < 10 ? 3 : 5;
  const rows = crests.map(({ at, radius }) => ({
    factors: [1, Math.cos(at), Math.sin(at), Math.cos(2 * at), Math.sin(2 * at)].slice(0, unknowns),
    value: radius,
    weight: 1,
  }));
  return robustFit(rows, unknowns);
}

function answer(input: ScanInput, fine: Plate, settled: RingFit): Scan {
  const { frame, unrolled, reach } = settled;
  const { correction = {}, scale, reference } = input;
  const edges = countByEdges(reach);
  const lean = edges?.lean ?? UPRIGHT;
  const counts = { outline: countByOutline(reach, lean), edges, shading: countByShading(unrolled, reach, lean) };
  const agreed = correction.teeth === undefined ? agreement(counts) : asCounted(correction.teeth, counts);
  if (frame.long * fine.factor < LEAST_RADIUS_PX) return refused('tooSmall');
  if (runsOver(frame, fine)) return refused('cutOff');
  if (frame.short / frame.long < FLATTEST) return refused('tooTilted');
  if (unrolled.contrast < LEAST_CONTRAST) return refused('lowContrast');
  if (!agreed) return refused('countsDisagree');
  if ((2 * Math.PI * frame.short) / agreed.teeth < LEAST_PITCH_PX) return refused('tooFine');
  const judged = judgeTeeth(reach, agreed.teeth, agreed.phase, lean);
  if (judged.tip - judged.root < (LEAST_DEPTH * 2) / (agreed.teeth + 2)) return refused('noTeeth');
  // Whoever has put something right on the photo has seen that it is one.
  if (Object.values(correction).every((each) => each === undefined)) {
    // A card, a tin and a book have corners that make a wave of few teeth, and no flanks to be counted one by one.
    if (agreed.teeth <= FEW && edges?.teeth !== agreed.teeth) return refused('notAGear');
    if (!isToothed(settled, judged, agreed)) return refused('notAGear');
  }
  const flanks = flanksOf(reach, judged, { ...agreed, lean });
  const missing = judged.flaws.filter(({ kind }) => kind === 'missing').length;
  if (correction.teeth === undefined && missing > agreed.teeth / 2) return refused('countsDisagree');
  const long = frame.long * fine.factor;
  const [tipRadiusPx, rootRadiusPx] = [judged.tip * long, judged.root * long];
  const beside =
    reference && !scale ? mmBeside(thingsOn(fine), reference, { factor: fine.factor, flatness: frame.short / frame.long }) : null;
  const perMm = scale ? mmPerPixel(scale, frame, fine.factor) : beside;
  const mm = (px: number) => perMm && lengthBy(perMm, 2 * px);
  const [tipMm, rootMm] = [mm(tipRadiusPx), mm(rootRadiusPx)];
  return {
    read: true,
    teeth: agreed.teeth,
    teethPresent: agreed.teeth - missing,
    confidence: agreed.confidence,
    centre: { xPx: frame.x * fine.factor, yPx: frame.y * fine.factor },
    tipRadiusPx,
    rootRadiusPx,
    rim: { longPx: long * judged.tip, shortPx: frame.short * fine.factor * judged.tip, axisDeg: degrees(frame.axis) },
    tiltDeg: degrees(Math.acos(Math.min(1, frame.short / frame.long))),
    flaws: judged.flaws.map(({ kind, angle }) => {
      const [x, y] = frame.toPicture(judged.tip, angle);
      const turned = degrees(Math.atan2(x - frame.x, frame.y - y));
      return { kind, angleDeg: (turned + 360) % 360, xPx: x * fine.factor, yPx: y * fine.factor };
    }),
    ...(flanks && { flanks }),
    counts: { outline: counts.outline?.teeth ?? null, edges: counts.edges?.teeth ?? null, shading: counts.shading?.teeth ?? null },
    corrected: [
      ...(correction.centre ? (['centre'] as const) : []),
      ...(correction.tipRadiusPx === undefined ? [] : (['rim'] as const)),
      ...(correction.teeth === undefined ? [] : (['teeth'] as const)),
    ],
    ...(tipMm && { tipDiameterMm: tipMm }),
    ...(rootMm && { rootDiameterMm: rootMm }),
    ...(reference && !scale && { referenceFound: beside !== null }),
  };
}

/** Share of the way round that is gear just below the roots. */
const LEAST_BODY = { few: 0.93, many: 0.8 } as const;
/** No tooth is deeper than this, in depths as cut (2.25 modules). */
const MOST_DEPTH = 1.15;
/** Arms so deep and so wide at their foot are those of an asterisk: a pinion's teeth stand free of each other there. */
const ARMS = { depth: 0.75, width: 0.6 } as const;
/** From a third of its height to the middle a tooth keeps so much of its width: its flanks are bulged, those of a star hollow. */
const LEAST_KEPT = 0.75;
/** A tooth may seem so much wider a little farther out, by what blurs it. */
const MOST_RISE = 1.04;

/**
 * Whether the rim is that of a gear and not of something else with arms: below its teeth lies a closed rim (a
 * snowflake has none), they are no deeper and at their foot no wider than teeth (an asterisk's are), and they
 * grow narrower towards their tips on bulged flanks (the points of a star and of a badge do not).
 */
function isToothed({ unrolled, reach: { reach } }: RingFit, { tip, root }: Teeth, { teeth, confidence }: CountAgreement): boolean {
  const size = teeth <= FEW ? 'few' : 'many';
  const depth = ((1 - root / tip) * (teeth + 2)) / 4.5;
  if (confidence < LEAST_CONFIDENCE[size] || bodyShare(unrolled, root) < LEAST_BODY[size] || depth > MOST_DEPTH) return false;
  if (size === 'many') return true;
  const width = (share: number) => reach.reduce((count, each) => count + (each > root + share * (tip - root) ? 1 : 0), 0) / RAYS;
  if (depth > ARMS.depth && width(0.3) > ARMS.width) return false;
  const widths = [0.5, 0.6, 0.7, 0.8, 0.9].map(width);
  const flares = widths.some((each, i) => i > 0 && each > MOST_RISE * Math.min(...widths.slice(0, i)));
  return !flares && width(0.5) > LEAST_KEPT * width(0.3);
}

/** Share of the way round on which a ring just below the roots is gear. */
function bodyShare({ gear }: UnrolledRing, root: number): number {
  const [from, to] = [stepAt(root - 0.09), stepAt(root - 0.04)];
  let body = 0;
  for (let ray = 0; ray < RAYS; ray++) {
    let sum = 0;
    for (let step = from; step <= to; step++) sum += gear[ray * DEPTHS + step] as number;
    if (sum > 0.5 * (to - from + 1)) body++;
  }
  return body / RAYS;
}

/** Whether the rim leaves the picture somewhere. */
const runsOver = (frame: Frame, { width, height }: Plate) =>
  Array.from({ length: 24 }, (_, i) => frame.toPicture(1, (2 * Math.PI * i) / 24)).some(
    ([x, y]) => x < 0 || y < 0 || x > width || y > height,
  );

interface CountAgreement extends Count {
  readonly confidence: number;
}

type Counts = Readonly<Record<'outline' | 'edges' | 'shading', Count | null>>;

/** The count that two ways at least have in common; surer where all three do. */
function agreement({ outline, edges, shading }: Counts): CountAgreement | null {
  const ways = [outline, edges, shading].filter((each) => each !== null);
  const agreed = ways
    .map((each) => ({ each, with: ways.filter(({ teeth }) => teeth === each.teeth) }))
    .find(({ with: same }) => same.length > 1);
  if (!agreed) return null;
  const strength = agreed.with.reduce((sum, each) => sum + each.strength, 0) / agreed.with.length;
  const confidence = (agreed.with.length === 3 ? 0.99 : 0.8) * strength;
  // The edges' own comb gives the truest phase; else the outline's crest.
  const phase = [edges, outline, shading].find((each) => each?.teeth === agreed.each.teeth)?.phase ?? agreed.each.phase;
  return { teeth: agreed.each.teeth, strength, phase, confidence };
}

/** The human's count; the phase from whichever way found it too, else from the first that found any. */
function asCounted(teeth: number, { outline, edges, shading }: Counts): CountAgreement {
  const ways = [edges, outline, shading];
  const phase = (ways.find((each) => each?.teeth === teeth) ?? ways.find((each) => each !== null))?.phase ?? 0;
  return { teeth, phase, strength: 1, confidence: 1 };
}

function mmPerPixel({ from, to, lengthMm }: NonNullable<ScanInput['scale']>, frame: Frame, factor: number) {
  // Laid back into the gear's plane: along the short axis a millimetre is shorter in the picture.
  const [p, q] = [from, to].map(({ xPx, yPx }) => {
    const { radius, angle } = frame.toPlane(xPx / factor, yPx / factor);
    return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
  }) as [readonly [number, number], readonly [number, number]];
  const px = Math.max(1, Math.hypot(p[0] - q[0], p[1] - q[1]) * frame.long * factor);
  return perMmBy(lengthMm, px);
}

const refused = (reason: ScanRefusal): Scan => ({ read: false, reason });
