import { degrees } from '../quantity/angle.ts';
import { median, quantile } from '../inference/leastSquares.ts';
import { axisAlong, axisOf, type Axis } from './axis.ts';
import { shrink, shrinkPlate, type Plate } from './picture.ts';
import { closed, largestThing, partedFrom, PARTINGS, type Thing } from './things.ts';
import { pixelsOf } from './pixels.ts';
import type { ScanProgress } from './scanTeeth.ts';
import { longestRun, type Run } from './run.ts';
import { lengthBy, perMmOf } from './scale.ts';
import { findWave, isSamePitch, waveAt, type Wave } from './wave.ts';
import type { WormScan, WormScanInput, WormScanRefusal } from './wormSchema.ts';
import { edgeContrasts, edgesByColour, layAlong, type Strip } from './strip.ts';

/** Longer side of the plate on which the worm is looked for, of that on which its axis is, and of that on which its threads are measured; pixels. */
const [COARSE, MIDDLING, FINE] = [340, 500, 1000];
const LEAST_RADIUS_PX = 14;
/** Fewest pixels from thread to thread, and fewest threads in a row. */
const [LEAST_PITCH_PX, LEAST_THREADS] = [5, 3];
/** A pitch is at most so many diameters: six starts at a lead angle of 45°, and some. */
const MOST_PITCH = 1.1;
/** Threads stand out of the worm by so much of its radius at least. */
const LEAST_DEPTH = 0.05;
const MOST_STARTS = 6;
/** How clear the wave of the edges has to be, that of the light between them, and how it goes on round the worm; each of 1. By trial on scenes. */
const LEAST = { edges: 0.45, light: 0.12, turn: 0.5 } as const;

/**
 * Reads a worm that lies on the bench, from its side: the outline's two edges and the light between them are waves with one
 * length, the axial pitch. Going round, the wave goes on by the starts: from one edge to the other by half a turn (ISO 1122-2:
 * the lead is pitch times starts), which way is the hand. Pitch and outside diameter as they are to each other; in mm with a scale.
 *
 * A photo that cannot be read is an answer, not an error.
 * @throws CoreFailure where the pixels are not as many as width and height say
 * @example a worm of 1.5 mm module, two starts → read, threads 7, starts 2, right, pitchShare 0.26
 */
export function scanWorm(input: WormScanInput, onProgress: ScanProgress = () => {}): WormScan {
  const fine = shrink(pixelsOf(input), FINE);
  onProgress('disc', 0.35);
  const coarse = shrinkPlate(fine, COARSE);
  // What is thing, what its shadow? Each way of parting them is tried, and the one that shows threads best holds.
  const middling = shrinkPlate(fine, MIDDLING);
  const [afar, half, near] = [coarse, middling, fine].map(partedFrom) as [Parted, Parted, Parted];
  const ways = PARTINGS.map((parting) => {
    const thing = largestThing(coarse, { things: closed(afar[parting], coarse.width) });
    if (typeof thing === 'string') return thing;
    const axes = likelyAxes(thing, coarse.factor, { plate: middling, things: half[parting] });
    const share = middling.factor / fine.factor;
    return lookedAt(
      { plate: fine, things: near[parting] },
      axes.map((axis) => ({ ...axis, x: share * axis.x, y: share * axis.y, along: share * axis.along, across: share * axis.across })),
      2,
    );
  });
  onProgress('teeth', 0.85);
  const found = ways.flatMap((way) => (typeof way === 'string' ? [] : way));
  if (found.length === 0) return refused(ways.find((way) => typeof way === 'string') ?? 'noThreads');
  const sights = [...found, ...found.flatMap(({ strip, threads }) => sightOf(edgesByColour(strip, threads)))];
  const best = sights.reduce((top, each) => (each.clearness > top.clearness ? each : top));
  const others = sights.filter(
    ({ clearness, threads: { edges } }) =>
      clearness > NEARLY_AS_CLEAR * best.clearness && isSamePitch(edges.length, best.threads.edges.length),
  );
  return answer(input, fine, { best, others });
}

interface WormSight {
  readonly strip: Strip;
  readonly threads: Threads;
  readonly clearness: number;
}

type Parted = ReturnType<typeof partedFrom>;

/** A plate, and where on it is not bench. */
interface Sight {
  readonly plate: Plate;
  readonly things: Uint8Array;
}

/** The worm by one way of parting things from the bench, laid along each direction that may be its axis. */
function lookedAt({ plate, things }: Sight, axes: readonly Axis[], rounds: number): readonly WormSight[] {
  return axes.flatMap((axis) => sightOf(layAlong(plate, things, { ...axis, rounds })));
}

function sightOf(strip: Strip): readonly WormSight[] {
  const threads = threadsOf(strip);
  return threads ? [{ strip, threads, clearness: clearnessOf(threads) }] : [];
}

/**
 * Directions that may be the axis, on the plate of this sight: something about as long as it is wide has none to be seen from
 * afar, so that every direction is tried there, and the two that show threads best are looked along.
 */
function likelyAxes(thing: Thing, coarseFactor: number, sight: Sight): readonly Axis[] {
  const factor = coarseFactor / sight.plate.factor;
  const axis = axisOf(thing, factor);
  if (axis.along > CLEARLY_LONG * axis.across) return [axis];
  return Array.from({ length: DIRECTIONS }, (_, i) =>
    axisAlong(thing, { ...axis, direction: axis.direction + (i * Math.PI) / DIRECTIONS, factor }),
  )
    .flatMap((each) => lookedAt(sight, [each], 1).map(({ clearness }) => ({ each, clearness })))
    .sort((p, q) => q.clearness - p.clearness)
    .slice(0, 2)
    .map(({ each }) => each);
}

/** Longer than wide by so much, the direction in which it spreads most is its axis. */
const CLEARLY_LONG = 1.6;
const DIRECTIONS = 12;

interface Threads {
  readonly from: number;
  readonly to: number;
  readonly upper: Float32Array;
  readonly lower: Float32Array;
  readonly radius: number;
  readonly edges: Wave;
}

/** How much like threads it is: a clear wave, deep enough, of several threads and longer than the worm is thick. */
function clearnessOf(threads: Threads): number {
  const { from, to, upper, lower, radius, edges } = threads;
  const deep = depthOf(edges, [upper, lower]) / (0.11 * radius);
  return edges.strength * Math.min(1, deep) * Math.min(1, (to - from) / (4 * edges.length)) * Math.min(1, (to - from) / (1.2 * radius));
}

/** The stretch with threads and the wave that its edges make; the stretch is drawn anew by where that wave is, twice. */
function threadsOf(strip: Strip): Threads | null {
  let zone = threadedZone(strip);
  for (let round = 0; ; round++) {
    if (!zone || zone.to - zone.from < LEAST_THREADS * LEAST_PITCH_PX) return null;
    const { from, to } = zone;
    const [upper, lower] = [strip.upper.subarray(from, to), strip.lower.subarray(from, to)];
    const radius = (quantile(upper, 0.85) + quantile(lower, 0.85)) / 2;
    const longest = Math.min((to - from) / LEAST_THREADS, MOST_PITCH * 2 * radius);
    const edges = waveOfEdges([upper, lower], longest);
    if (!edges) return null;
    if (round === 2) return { from, to, upper, lower, radius, edges };
    zone = waveZone(strip, edges, zone);
  }
}

/** The wave of both edges; where one of them lies in the shadow and is another, that of the clearer one. */
function waveOfEdges(edges: readonly [Float32Array, Float32Array], longest: number): Wave | null {
  const both = findWave(edges, longest);
  const single = edges.map((edge) => findWave([edge], longest));
  const clearest = [...single, both].reduce((top, each) => ((each?.strength ?? 0) > (top?.strength ?? 0) + CLEARER ? each : top), both);
  return clearest;
}

/** An edge alone is asked where it is so much clearer than both. */
const CLEARER = 0.15;

/** Where, within a stretch, an edge follows the wave about as much as where it follows it most. */
function waveZone(strip: Strip, { length }: Wave, zone: Run): Run {
  const per = Math.max(LEAST_PITCH_PX, Math.round(length));
  const wave = { length, growth: 0 };
  const places: number[] = [];
  for (let at = zone.from; at + per <= zone.to; at += Math.max(1, Math.round(per / 4))) places.push(at);
  const local = places.map((at) =>
    Math.max(...[strip.upper, strip.lower].map((line) => waveAt(line.subarray(at, at + per), wave).amplitude)),
  );
  const level = 0.5 * quantile(local, 0.75);
  const { from, to } = longestRun(local, level);
  return to === from ? { from: 0, to: 0 } : { from: places[from] as number, to: (places[to - 1] as number) + per };
}

function answer(
  input: WormScanInput,
  fine: Plate,
  { best: { strip, threads }, others }: { readonly best: WormSight; readonly others: readonly WormSight[] },
): WormScan {
  const { from, to, upper, lower, radius, edges } = threads;
  if (radius * fine.factor < LEAST_RADIUS_PX) return refused('tooSmall');
  if (edges.length < LEAST_PITCH_PX) return refused('tooFine');
  const rows = ROWS.map((share) => strip.bright(share * radius, from, to));
  const light = findWave(
    rows.filter((_, i) => i % 2 === 0),
    1.3 * edges.length,
  );
  // Two ways of measuring one pitch: the outline, and the light between; lands and grounds may both be bright.
  if (!light || ![1, 2, 3].some((times) => isSamePitch(edges.length, times * light.length))) return refused('countsDisagree');
  const depth = depthOf(edges, [upper, lower]);
  if (depth < LEAST_DEPTH * radius) return refused('noThreads');
  if (Math.min(...edgeContrasts(strip, threads)) < LEAST_CONTRAST) return refused('lowContrast');
  const turned = startsOf(edges, {
    upper,
    lower,
    rows,
    radius,
    seen: radius * Math.min(SEEN.most, Math.max(SEEN.least, 1 - depth / radius)),
  });
  if (!turned) return refused('notAWorm');
  if (edges.strength < LEAST.edges || light.strength < LEAST.light || turned.sureness < LEAST.turn) return refused('countsDisagree');
  const confidence = Math.min(1, edges.strength * 0.5 + turned.sureness * 0.5);
  const pitchPx = edges.length * fine.factor;
  // Where the edge lies is as sure as the ways of parting it from the bench agree: one takes shadow for worm, another worm for shadow.
  const outside = 2 * tipRadius(edges, [upper, lower]);
  const widths = others.map(({ threads: t }) => 2 * tipRadius(t.edges, [t.upper, t.lower]));
  const outsidePx = outside * fine.factor;
  const apart = (quantile(widths, 0.8) - quantile(widths, 0.2)) / outside / 2;
  if (apart > MOST_APART) return refused('countsDisagree');
  // An edge that goes up and down less than the other is half hidden, by shade or by the threads of many starts.
  const [above, below] = [upper, lower].map((edge) => waveAt(edge, edges).amplitude) as [number, number];
  const hidden = 1 - Math.min(above, below) / Math.max(above, below);
  const off = Math.hypot(LEAN_SHARE, apart, HIDDEN_SHARE * hidden);
  const perMm = input.scale && perMmOf(input.scale);
  const mm = (px: number, share: number) => perMm && lengthBy(perMm, px, share);
  const [pitchMm, outsideMm] = [mm(pitchPx, LEAN_SHARE), mm(outsidePx, off)];
  const share = pitchPx / outsidePx;
  return {
    read: true,
    threads: Math.round((to - from) / edges.length),
    starts: turned.starts,
    hand: turned.hand,
    confidence,
    axialPitchPx: pitchPx,
    outsidePx,
    pitchShare: { value: share, plusMinus: share * off },
    ...(turned.starts !== null && { leadAngleDeg: degrees(Math.atan((turned.starts * share) / Math.PI)) }),
    from: place(fine, strip.toPicture(from, 0)),
    to: place(fine, strip.toPicture(to, 0)),
    ...(pitchMm && { axialPitchMm: pitchMm }),
    ...(outsideMm && { tipDiameterMm: outsideMm }),
  };
}

/** Ways of finding its edges may differ by so much of its width to either side; beyond, its shadow was taken for it. */
const MOST_APART = 0.1;
/** Ways of parting that show threads nearly as well are asked how wide it is. */
const NEARLY_AS_CLEAR = 0.6;

/** A camera that leans along the axis shortens the pitch, and the near side of a worm is larger: one standard deviation, by trial on scenes. */
const LEAN_SHARE = 0.015;
/** How well the light has to follow so many starts, and how much better than any other number, for them to be said; by trial on scenes. */
const SURE = { score: 0.86, margin: 0.09 } as const;
/** How well the light has to follow for the hand to be said; by trial on scenes. */
const HAND_SURE = 0.76;
const handOf = (starts: number) => (starts > 0 ? ('right' as const) : ('left' as const));
/** What a hidden edge costs of the width: one standard deviation where it is hidden whole, by trial on scenes. */
const HIDDEN_SHARE = 0.05;
/** Least contrast of worm and bench along either edge, in spreads of their colours: below it the shaded side and the bench are one. */
const LEAST_CONTRAST = 2;
/** What the edges say of odd or even starts, beside the light between them. */
const PARITY = 0.7;
/** What is seen lies half way down the threads, in radii; threads of many starts hide each other's grounds at the edge, so that they seem less deep there. */
const SEEN = { least: 0.74, most: 0.84 } as const;
/** Lines of light along the worm, in radii from its middle. */
const ROWS = [-0.64, -0.56, -0.48, -0.4, -0.32, -0.24, -0.16, -0.08, 0, 0.08, 0.16, 0.24, 0.32, 0.4, 0.48, 0.56, 0.64];

const place = ({ factor }: Plate, [x, y]: readonly [number, number]) => ({ xPx: x * factor, yPx: y * factor });
const refused = (reason: WormScanRefusal): WormScan => ({ read: false, reason });

/** Where both edges go up and down: the longest stretch along which they move as much as threads do. */
function threadedZone({ upper, lower }: Strip): Run | null {
  const reach = Math.max(4, Math.round(0.5 * quantile(upper, 0.8)));
  const restless = smooth(
    Float32Array.from(upper, (_, i) => {
      if (i < 2 || i > upper.length - 3) return 0;
      // Over a few samples, above the steps of the pixels; a shoulder is one high step and counts as a moderate one.
      const moved = (line: Float32Array) => Math.min(3, Math.max(0, Math.abs((line[i + 2] as number) - (line[i - 2] as number)) - 0.6));
      return Math.min(moved(upper), moved(lower) + 1, moved(upper) + moved(lower));
    }),
    reach,
  );
  const level = 0.45 * quantile(restless, 0.9);
  const best = longestRun(restless, level);
  // What the smoothing reaches over at both ends is no thread.
  const trimmed = { from: best.from + Math.round(0.4 * reach), to: best.to - Math.round(0.4 * reach) };
  return trimmed.to - trimmed.from > LEAST_THREADS * LEAST_PITCH_PX ? trimmed : null;
}

function smooth(line: Float32Array, reach: number): Float32Array {
  let sum = 0;
  const out = new Float32Array(line.length);
  for (let i = -reach; i < line.length; i++) {
    if (i + reach < line.length) sum += line[i + reach] as number;
    if (i - reach - 1 >= 0) sum -= line[i - reach - 1] as number;
    if (i >= 0) out[i] = sum / (2 * reach + 1);
  }
  return out;
}

/** How far the clearer edge goes up and down with the wave either way, in pixels of the plate: half the depth of the threads, or nearly. */
const depthOf = (wave: Wave, edges: readonly Float32Array[]) => Math.max(...edges.map((edge) => waveAt(edge, wave).amplitude));

/** Half the distance between the lines that the crests of both edges lie on. */
function tipRadius(wave: Wave, edges: readonly Float32Array[]): number {
  const crests = edges.map((edge) => {
    const per = Math.max(1, Math.round(wave.length));
    const tops: number[] = [];
    for (let i = 0; i + per <= edge.length; i += per) tops.push(quantile(edge.subarray(i, i + per), 0.9));
    return median(tops);
  });
  return crests.reduce((sum, each) => sum + each, 0) / 2;
}

interface StartsGiven {
  readonly upper: Float32Array;
  readonly lower: Float32Array;
  readonly rows: readonly Float32Array[];
  readonly radius: number;
  /** How far from the axis what is seen lies, on the mean. */
  readonly seen: number;
}

/**
 * How far the wave goes on from line to line round the visible half: by the starts for a turn, forward on a right-hand worm. The
 * edges lie half a turn apart and say whether the starts are odd; null where it does not go on at all (rings, not threads).
 * Which way it goes is clearer than how far: what is not clear is not said.
 */
function startsOf(wave: Wave, { upper, lower, rows, seen, radius }: StartsGiven) {
  // What is seen lies between tips and roots.
  const light = rows.map((row, i) => ({ ...waveAt(row, wave), angle: Math.asin(((ROWS[i] as number) * radius) / seen) }));
  const heaviest = Math.max(...light.map(({ amplitude }) => amplitude)) || 1;
  const [above, below] = [waveAt(upper, wave), waveAt(lower, wave)];
  const half = below.phase - above.phase;
  // An edge in the shadow says nothing of where its crests are.
  const weight = (PARITY * Math.min(above.amplitude, below.amplitude)) / (Math.max(above.amplitude, below.amplitude) || 1);
  const scored = Array.from({ length: 2 * MOST_STARTS + 1 }, (_, i) => i - MOST_STARTS).map((starts) => {
    // From each line to the next, so that a slow change of the light round the worm does not add up.
    let [east, all] = [0, 0];
    for (let k = 1; k < light.length; k++) {
      for (let j = Math.max(0, k - 4); j < k; j++) {
        const [p, q] = [light[j], light[k]] as [(typeof light)[number], (typeof light)[number]];
        const share = (p.amplitude * q.amplitude) / heaviest ** 2;
        const off = q.phase - p.phase - starts * (q.angle - p.angle);
        // Where the lit flank changes from one to the other the wave turns by half: twice the angle does not mind.
        east += share * (0.5 * Math.cos(off) + 0.5 * Math.cos(2 * off));
        all += share;
      }
    }
    const along = all === 0 ? 0 : east / all;
    return { starts, score: (along + weight * Math.cos(half - starts * Math.PI)) / (1 + weight) };
  });
  const [best, next] = scored.sort((p, q) => q.score - p.score);
  if (!best || !next || best.starts === 0) return null;
  const isSure = best.score >= SURE.score && best.score - next.score >= SURE.margin;
  return {
    starts: isSure ? Math.abs(best.starts) : null,
    hand: best.score >= HAND_SURE ? handOf(best.starts) : null,
    sureness: Math.max(0, Math.min(1, best.score)),
  };
}
