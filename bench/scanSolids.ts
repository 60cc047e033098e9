/**
 * Worms from the side, sectors and bevels by their face, on pictures of solids laid through a camera by a drawer that shares no code
 * with the reader (`scan/scenes`), every other one through JPEG; and rods, cards, coins and gears that are none of them.
 *
 *   npm run bench:scan-solids [-- SCENES [KIND…]]     (default 100 of each)
 */
import { scanSector, scanTeeth, scanWorm, type WormScan } from '@patient-badger/core/gear';
import jpeg from 'jpeg-js';
import type { Picture } from '../packages/core/src/scan/picture.ts';
import { photograph, type Colour, type Patch, type View } from '../packages/core/src/scan/scenes/splat.ts';
import { bevel, card, coin, rod, sector, spur, worm, type Worm } from '../packages/core/src/scan/scenes/solids.ts';
import { seeded } from '../packages/core/src/testing.ts';

const SCENES = Number(process.argv[2] ?? 100);
const only = process.argv.slice(3);
let random = seeded(0);
const between = (low: number, high: number) => low + (high - low) * random();
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const whole = (low: number, high: number) => Math.floor(between(low, high + 1));

/** What lies on what: pairs a mechanic can tell apart by eye. */
const PAIRS: readonly (readonly [thing: Colour, bench: Colour, grain: number])[] = [
  [[178, 176, 170], [112, 84, 58], 0.08],
  [[182, 184, 186], [84, 90, 96], 0.04],
  [[72, 72, 78], [168, 172, 178], 0.04],
  [[196, 158, 88], [92, 90, 88], 0.05],
  [[50, 50, 54], [226, 224, 216], 0.01],
  [[224, 220, 206], [60, 90, 70], 0.03],
  [[200, 70, 50], [228, 226, 220], 0.01],
];
const [WIDTH, HEIGHT] = [900, 680];

/** A picture of something so long and so wide, filling the picture as somebody would have it. */
function taken(
  patches: readonly Patch[],
  { longMm, bench, grain, mostLean }: { longMm: number; bench: Colour; grain: number; mostLean: number },
): Picture {
  const view: View = {
    width: WIDTH,
    height: HEIGHT,
    pxPerMm: (HEIGHT * between(0.62, 0.85)) / longMm,
    leanDeg: between(0, mostLean),
    towardsDeg: between(0, 360),
    distanceMm: longMm * between(5, 9),
    bench,
    grain,
    lightDeg: between(0, 360),
    lightUpDeg: between(35, 75),
    shadow: between(0.1, 0.5),
    unevenness: between(0, 0.4),
    noise: between(2, 8),
    random,
  };
  const plain = photograph(patches, view);
  if (random() < 0.5) return plain;
  const { data } = jpeg.decode(jpeg.encode({ ...plain, data: plain.rgba }, whole(55, 95)).data, { useTArray: true });
  return { width: WIDTH, height: HEIGHT, rgba: data };
}

const share = (count: number, of: number) => (of === 0 ? '' : `${((100 * count) / of).toFixed(1)} %`);
/** Each scene is drawn from its own number: the same whatever else is drawn. */
function scene<Drawn>(kind: string, i: number, draw: () => Drawn): Drawn {
  random = seeded(1000 * i + kind.length);
  return draw();
}
const wants = (kind: string) => only.length === 0 || only.includes(kind);
const rows: Record<string, Record<string, string | number>> = {};

function drawWorm(): { given: Worm; longMm: number; bench: Colour; grain: number } {
  const [colour, bench, grain] = pick(PAIRS);
  const m = between(0.8, 2.5);
  const [q, starts] = [between(7, 16), pick([1, 1, 2, 2, 3, 4])];
  const tipRadiusMm = ((q + 2) * m) / 2;
  const threads = between(Math.max(4, starts + 2), 11);
  const given: Worm = {
    colour,
    gloss: between(0.05, 0.4),
    pitchMm: Math.PI * m,
    starts,
    hand: pick(['right', 'right', 'left'] as const),
    tipRadiusMm,
    depthMm: 2.2 * m,
    threadedMm: threads * Math.PI * m,
    shaftRadiusMm: (tipRadiusMm - 2.2 * m) * between(0.5, 1),
    shaftMm: tipRadiusMm * between(0.1, 1.6),
    turnedDeg: between(0, 360),
  };
  return { given, bench, grain, longMm: Math.max(given.threadedMm + 2 * given.shaftMm, 2.4 * tipRadiusMm) };
}

/** A quadrant or a segment: teeth over an arc, on a hub near or far within. */
function drawSector() {
  const [colour, bench, grain] = pick(PAIRS);
  const teeth = whole(22, 90);
  const moduleMm = 2;
  const tip = (teeth * moduleMm) / 2 + moduleMm;
  const present = whole(Math.max(5, Math.ceil(teeth / 9)), Math.floor(0.6 * teeth));
  const hubRadiusMm = (tip - 2.25 * moduleMm) * between(0.15, 0.45);
  const half = (present * Math.PI) / teeth;
  const turnedDeg = between(0, 360);
  // Its middle lies in the middle of the picture, not the middle of its circle.
  const inwards = half > Math.PI / 2 ? Math.min(-hubRadiusMm, tip * Math.cos(half)) : -hubRadiusMm;
  const across = 2 * tip * Math.sin(Math.min(half, Math.PI / 2));
  const middle = ((present - 1) * Math.PI) / teeth + (turnedDeg * Math.PI) / 180;
  const away = -(tip + inwards) / 2;
  const patches = sector({
    colour,
    teeth,
    moduleMm,
    present,
    hubRadiusMm,
    thicknessMm: between(4, 10),
    turnedDeg,
    x: away * Math.cos(middle),
    y: away * Math.sin(middle),
  });
  return { given: { present, arcDeg: ((present - 1) * 360) / teeth, tip }, patches, bench, grain, longMm: Math.max(tip - inwards, across) };
}

/** Things that lie on a bench as well and are no worms, and but one of them no sectors. */
function drawOther(): { readonly isSector: boolean; readonly photo: Picture } {
  const [colour, bench, grain] = pick(PAIRS);
  const placed = { colour, turnedDeg: between(0, 360) };
  const drawn = pick<() => readonly [patches: readonly Patch[], longMm: number, isSector?: true]>([
    () => [rod({ ...placed, radiusMm: 6, lengthMm: 50 }), 50],
    () => [rod({ ...placed, radiusMm: 8, lengthMm: 60, grooves: [-22, -18, 3, 24], grooveMm: 2 }), 60],
    () => [rod({ ...placed, radiusMm: 8, lengthMm: 60, grooves: Array.from({ length: 12 }, (_, k) => -22 + 4 * k), grooveMm: 1.6 }), 60],
    () => [card({ ...placed, widthMm: 86, heightMm: 54 }), 90],
    () => [sector({ ...placed, teeth: 40, moduleMm: 1.5, present: 11, hubRadiusMm: 9, thicknessMm: 6 }), 60, true],
    () => [coin({ ...placed, diameterMm: 25 }), 30],
    () => [spur({ ...placed, teeth: whole(10, 40), moduleMm: 1.5, thicknessMm: 8, boreMm: 6 }), 60],
  ])();
  const [patches, longMm, isSector = false] = drawn;
  return { isSector, photo: taken(patches, { longMm, bench, grain, mostLean: 12 }) };
}

if (wants('worm')) {
  let [read, right, pitchRight, handRight, handSaid, startsRight, startsSaid] = [0, 0, 0, 0, 0, 0, 0];
  const refused = new Map<string, number>();
  for (let i = 0; i < SCENES; i++) {
    const { given, photo } = scene('worm', i, () => {
      const { given: drawn, ...more } = drawWorm();
      return { given: drawn, photo: taken(worm(drawn), { ...more, mostLean: 12 }) };
    });
    const found: WormScan = scanWorm(photo);
    if (!found.read) {
      refused.set(found.reason, (refused.get(found.reason) ?? 0) + 1);
      continue;
    }
    read++;
    const { value, plusMinus } = found.pitchShare;
    const isPitch =
      Math.abs(value - given.pitchMm / (2 * given.tipRadiusMm)) < Math.max(0.05 * value, Math.min(2 * plusMinus, 0.12 * value));
    const [isHand, isStarts] = [found.hand === null || found.hand === given.hand, found.starts === null || found.starts === given.starts];
    if (found.starts !== null) startsSaid++;
    if (found.hand !== null) handSaid++;
    if (isPitch) pitchRight++;
    if (isHand) handRight++;
    if (isStarts) startsRight++;
    if (isPitch && isHand && isStarts) right++;
  }
  rows.worm = {
    taken: share(read, SCENES),
    'right of these': share(right, read),
    pitch: share(pitchRight, read),
    'starts said': share(startsSaid, read),
    'right or not said': share(startsRight, read),
    'hand said': share(handSaid, read),
    'hand right or not said': share(handRight, read),
    refused: JSON.stringify(Object.fromEntries(refused)),
  };
}
if (wants('sector')) {
  let [read, right, within] = [0, 0, 0];
  const refused = new Map<string, number>();
  for (let i = 0; i < SCENES; i++) {
    const { given, photo } = scene('sector', i, () => {
      const { given: drawn, patches, ...more } = drawSector();
      return { given: drawn, photo: taken(patches, { ...more, mostLean: 12 }) };
    });
    const found = scanSector(photo);
    if (!found.read) {
      refused.set(found.reason, (refused.get(found.reason) ?? 0) + 1);
      continue;
    }
    read++;
    const { value, plusMinus } = found.arcDeg;
    if (found.teeth === given.present && Math.abs(value / given.arcDeg - 1) < 0.03) right++;
    if (Math.abs(value - given.arcDeg) < 2 * plusMinus) within++;
  }
  rows.sector = {
    taken: share(read, SCENES),
    'right of these': share(right, read),
    'arc within 2 of its own ±': share(within, read),
    refused: JSON.stringify(Object.fromEntries(refused)),
  };
}
if (wants('other')) {
  let [worms, sectors, none] = [0, 0, 0];
  const OTHERS = Math.ceil(SCENES / 2);
  for (let i = 0; i < OTHERS; i++) {
    const { isSector, photo } = scene('other', i, drawOther);
    if (scanWorm(photo).read) worms++;
    if (isSector) continue;
    none++;
    if (scanSector(photo).read) sectors++;
  }
  rows['neither'] = { 'taken for a worm': share(worms, OTHERS), 'taken for a sector': share(sectors, none) };
}
if (wants('bevel')) {
  let [read, right] = [0, 0];
  const refused = new Map<string, number>();
  for (let i = 0; i < SCENES; i++) {
    const { teeth, photo } = scene('bevel', i, () => {
      const [colour, bench, grain] = pick(PAIRS);
      const drawn = {
        colour,
        teeth: whole(10, 40),
        moduleMm: 2,
        coneDeg: between(25, 75),
        faceShare: between(0.2, 0.33),
        boreMm: 8,
        turnedDeg: between(0, 360),
      };
      return { teeth: drawn.teeth, photo: taken(bevel(drawn), { longMm: 2 * drawn.teeth + 4, bench, grain, mostLean: 12 }) };
    });
    const found = scanTeeth(photo);
    if (!found.read) refused.set(found.reason, (refused.get(found.reason) ?? 0) + 1);
    else {
      read++;
      if (found.teeth === teeth) right++;
    }
  }
  rows['bevel by its face'] = {
    taken: share(read, SCENES),
    'right of these': share(right, read),
    refused: JSON.stringify(Object.fromEntries(refused)),
  };
}
console.table(rows);
