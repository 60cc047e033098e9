import { gearPhoto, type Scene } from './gearPhoto.ts';
import { seeded } from '../testing.ts';
import type { Picture } from './picture.ts';
import type { ScanInput, ScanRead } from './schema.ts';
import { scanTeeth } from './scanTeeth.ts';
import { spur } from './scenes/solids.ts';
import { onPaper, photograph } from './scenes/splat.ts';

const photo = (scene: Partial<Scene> & { teeth: number }) =>
  gearPhoto({ random: seeded(scene.teeth), width: 420, height: 360, fill: 0.78, ...scene });
const scan = (scene: Partial<Scene> & { teeth: number }, more: Partial<ScanInput> = {}) => scanTeeth({ ...photo(scene), ...more });
function read(...given: Parameters<typeof scan>): ScanRead {
  const answer = scan(...given);
  if (!answer.read) throw new Error(answer.reason);
  return answer;
}

const PAPER = [228, 226, 220] as const;

test.each<[string, Partial<Scene> & { teeth: number }]>([
  ['steel on wood', { teeth: 31 }],
  ['black plastic on paper, in a hard light', { teeth: 23, metal: [46, 46, 50], bench: PAPER, unevenness: 0.5 }],
  ['steel on a steel bench', { teeth: 40, metal: [70, 70, 76], bench: [160, 166, 172], shadow: 0.3 }],
  ['a camera that leans by 15°', { teeth: 52, tiltDeg: 15, tiltTowardsDeg: 70, thickness: 0.2 }],
  ['spokes, grease and chips', { teeth: 28, holes: 5, blots: 4, specks: 30, noise: 12 }],
  ['few teeth', { teeth: 10 }],
])('counts %s', (_, scene) => {
  const found = read(scene);
  expect(found.teeth).toBe(scene.teeth);
  expect(found.counts).toMatchObject({ outline: scene.teeth, edges: scene.teeth });
});

test('teeth that are gone are places all the same, and are shown where they were', () => {
  const found = read({ teeth: 24, missing: [0, 6, 7] });
  expect([found.teeth, found.teethPresent]).toEqual([24, 21]);
  const gone = found.flaws.filter(({ kind }) => kind === 'missing').map(({ angleDeg }) => Math.round(angleDeg / 15) % 24);
  expect(gone.sort((p, q) => p - q)).toEqual([0, 6, 7]);
  for (const { xPx, yPx } of found.flaws) {
    const radius = Math.hypot(xPx - found.centre.xPx, yPx - found.centre.yPx);
    expect(Math.abs(radius / found.tipRadiusPx - 1)).toBeLessThan(0.03);
  }
});

test('a tooth broken off half way up is short, not gone', () => {
  const found = read({ teeth: 24, chipped: [5] });
  expect(found.flaws).toEqual([expect.objectContaining({ kind: 'short', angleDeg: expect.closeTo(75, -1) as number })]);
});

test('a count from a dirty gear at an angle is less sure than from a clean one', () => {
  const [clean, dirty] = [read({ teeth: 32 }), read({ teeth: 32, blots: 6, tiltDeg: 14, noise: 14, missing: [1, 9, 20, 21] })];
  expect(dirty.confidence).toBeLessThan(clean.confidence);
});

describe('refused, with why', () => {
  test.each<[string, Partial<Scene> & { teeth: number }, string]>([
    ['the gear runs over the edge', { teeth: 20, fill: 1.04 }, 'cutOff'],
    ['too far away', { teeth: 20, fill: 0.15, unevenness: 0 }, 'tooSmall'],
    ['leaning by 45°', { teeth: 20, tiltDeg: 45, thickness: 0.02 }, 'tooTilted'],
  ])('%s', (_, scene, reason) => expect(scan(scene)).toMatchObject({ read: false, reason }));

  test('a bench with nothing on it', () => {
    const rgba = new Uint8ClampedArray(400 * 300 * 4);
    const random = seeded(4);
    for (let i = 0; i < rgba.length; i++) rgba[i] = 120 + 8 * random();
    expect(scanTeeth({ width: 400, height: 300, rgba })).toMatchObject({ read: false });
  });

  test('a round disc without teeth is not given a count', () => {
    const rgba = new Uint8ClampedArray(400 * 400 * 4);
    const random = seeded(4);
    for (let i = 0; i < 400 * 400; i++) {
      const on = Math.hypot((i % 400) - 200, Math.floor(i / 400) - 200) < 150;
      rgba.fill((on ? 190 : 70) + 8 * random(), 4 * i, 4 * i + 3);
    }
    expect(scanTeeth({ width: 400, height: 400, rgba }).read).toBe(false);
  });
});

/** A bank card, a tin or a book straight to the picture, its corners a little rounded. */
function card(ratio: number, tone: number, seed: number): Picture {
  const [width, height] = [640, 480];
  const random = seeded(seed);
  const [halfX, halfY] = [200, 200 / ratio];
  const round = 0.06 * halfX;
  const rgba = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [Math.abs((i % width) - width / 2), Math.abs(Math.floor(i / width) - height / 2)];
    const corner = Math.hypot(Math.max(0, x - halfX + round), Math.max(0, y - halfY + round));
    const isCard = x < halfX && y < halfY && corner < round;
    rgba.fill((isCard ? tone : 90) + 6 * random(), 4 * i, 4 * i + 3);
    rgba[4 * i + 3] = 255;
  }
  return { width, height, rgba };
}

test('a card, whatever its sides, is not read as a gear of few teeth', () => {
  const read = [1.54, 1.56, 1.6, 1.3].flatMap((ratio, i) => {
    const found = scanTeeth(card(ratio, 200, i));
    return found.read ? [{ ratio, teeth: found.teeth, confidence: found.confidence }] : [];
  });
  expect(read).toEqual([]);
});

test('many teeth are counted from a camera that leans by 25 to 35°', () => {
  const found = [36, 60, 72].flatMap((teeth) =>
    [27, 34].map((tiltDeg) => {
      const read = scan({ teeth, tiltDeg, tiltTowardsDeg: 3 * teeth, thickness: 0.05, width: 720, height: 640, shadow: 0.1 });
      return read.read ? read.teeth - teeth : read.reason;
    }),
  );
  expect(found.filter((off) => off === 0).length).toBeGreaterThanOrEqual(5);
  expect(found.filter((off) => typeof off === 'number' && off !== 0)).toEqual([]);
});

test('two points on a known length give the diameters in mm, also on a picture taken at an angle', () => {
  // Tips at one radius, whatever it is in pixels: a scale along the rim's long axis.
  const upright = read({ teeth: 30, unevenness: 0 });
  const length = { from: { xPx: upright.centre.xPx - upright.tipRadiusPx, yPx: upright.centre.yPx }, to: upright.centre, lengthMm: 32 };
  const { tipDiameterMm, rootDiameterMm } = read({ teeth: 30, unevenness: 0 }, { scale: length });
  expect(tipDiameterMm?.value).toBeCloseTo(64, 0);
  // 30 teeth: the roots lie 2.25 modules below the tips, which lie at 16 modules.
  expect(Math.abs((rootDiameterMm?.value ?? 0) / (64 * (13.75 / 16)) - 1)).toBeLessThan(0.02);
  expect(tipDiameterMm?.plusMinus).toBeGreaterThan(0.3);

  const leaning = { teeth: 30, tiltDeg: 15, tiltTowardsDeg: 0, thickness: 0.05 };
  const seen = read(leaning);
  const acrossShort = { from: seen.centre, to: { xPx: seen.centre.xPx, yPx: seen.centre.yPx + seen.rim.shortPx }, lengthMm: 32 };
  expect(read(leaning, { scale: acrossShort }).tipDiameterMm?.value).toBeCloseTo(64, 0);
});

describe('what a human puts right holds', () => {
  test('the count, and the teeth are judged by it', () => {
    const found = read({ teeth: 24 }, { correction: { teeth: 25 } });
    expect(found).toMatchObject({ teeth: 25, confidence: 1, corrected: ['teeth'], counts: { outline: 24 } });
  });

  test('centre and rim, where the disc was not found', () => {
    const lost = { teeth: 20, fill: 0.15, unevenness: 0, width: 500, height: 500 };
    expect(scan(lost).read).toBe(false);
    const found = read({ ...lost, fill: 0.25 }, { correction: { centre: { xPx: 250, yPx: 250 }, tipRadiusPx: 62.5 } });
    expect(found.corrected).toEqual(['centre', 'rim']);
    expect(Math.abs(found.centre.xPx - 250)).toBeLessThan(1e-6);
  });
});

test('tells how far it is, in order', () => {
  const shares: number[] = [];
  scanTeeth(photo({ teeth: 20 }), (_, share) => shares.push(share));
  expect(shares).toEqual([...shares].sort((p, q) => p - q));
  expect(shares.length).toBeGreaterThan(2);
});

test('pixels that are too few are an error, with its path', () => {
  expect(() => scanTeeth({ ...photo({ teeth: 20 }), width: 421 })).toThrow(expect.objectContaining({ path: 'rgba' }) as Error);
});

/** Something drawn by its distance from the middle: dark where it lies, on light paper with a little grain. */
function drawn(inside: (x: number, y: number) => boolean): Picture {
  const side = 500;
  const random = seeded(5);
  const rgba = new Uint8ClampedArray(side * side * 4);
  for (let i = 0; i < side * side; i++) {
    const [x, y] = [((i % side) - side / 2) / 200, (Math.floor(i / side) - side / 2) / 200];
    rgba.fill((inside(x, y) ? 60 : 215) + 12 * random(), i * 4, i * 4 + 3);
    rgba[i * 4 + 3] = 255;
  }
  return { width: side, height: side, rgba };
}
const arms = (count: number, half: number) => (x: number, y: number) => {
  const pitch = (2 * Math.PI) / count;
  const off = Math.atan2(y, x) - pitch * Math.round(Math.atan2(y, x) / pitch);
  return Math.hypot(x, y) * Math.cos(off) < 1 && Math.hypot(x, y) * Math.abs(Math.sin(off)) < half;
};
/** The points of a star: radius between hollow and point along a straight line. */
const star = (count: number, hollow: number) => (x: number, y: number) => {
  const pitch = (2 * Math.PI) / count;
  const off = Math.abs(Math.atan2(y, x) - pitch * Math.round(Math.atan2(y, x) / pitch));
  const [px, py] = [hollow * Math.cos(pitch / 2), hollow * Math.sin(pitch / 2)];
  const r = Math.hypot(x, y);
  return (1 - px) * r * Math.sin(off) < py * (1 - r * Math.cos(off));
};

test.each([
  ['an asterisk', arms(6, 0.12)],
  ['a thick asterisk', arms(6, 0.22)],
  ['a cross', arms(4, 0.2)],
  ['a snowflake', arms(8, 0.06)],
  ['a star of five', star(5, 0.45)],
  ['a star of six', star(6, 0.55)],
  ['a die', (x: number, y: number) => Math.max(Math.abs(x), Math.abs(y)) < 0.8],
  [
    'a nut',
    (x: number, y: number) =>
      Math.max(Math.abs(y), Math.abs(y / 2 + x * 0.866), Math.abs(y / 2 - x * 0.866)) < 0.85 && Math.hypot(x, y) > 0.4,
  ],
  ['a disc', (x: number, y: number) => Math.hypot(x, y) < 0.9],
] as const)('%s is not read as a gear', (_name, inside) => expect(scanTeeth(drawn(inside)).read).toBe(false));

test('six square teeth are six, and not twice as many', () => {
  const gear = drawn((x, y) => Math.hypot(x, y) < (Math.cos(6 * Math.atan2(y, x)) > 0 ? 0.95 : 0.72) && Math.hypot(x, y) > 0.25);
  expect(scanTeeth(gear)).toMatchObject({ read: true, teeth: 6 });
});

test('what was put right by hand on a photo is not doubted', () => {
  const badge = drawn(star(6, 0.55));
  expect(scanTeeth({ ...badge, correction: { teeth: 6 } })).toMatchObject({ read: true, teeth: 6 });
});

/** A gear of 24 teeth laid through a camera, some share of each tooth worn off the flanks that face anticlockwise seen from above. */
const wornGear = (wornShare: number, turnedDeg = 10) =>
  scanTeeth(
    photograph(
      spur({ colour: [70, 70, 76], teeth: 24, moduleMm: 2, thicknessMm: 3, boreMm: 8, wornShare, turnedDeg }),
      onPaper({ width: 600, height: 480, pxPerMm: 8, leanDeg: 3, random: seeded(4) }),
    ),
  );

test('the flanks that are worn more are told apart from the others; of a gear that is not worn they are alike', () => {
  expect(wornGear(0)).toMatchObject({ read: true, teeth: 24, flanks: { wornMore: null } });
  const worn = wornGear(0.25);
  expect(worn).toMatchObject({ read: true, teeth: 24, flanks: { wornMore: 'anticlockwise' } });
  // Held against a foot that is worn a third as much, it is less than the quarter that is gone.
  if (!worn.read || !worn.flanks) throw new Error('not read');
  expect(worn.flanks.share.value).toBeGreaterThan(0.08);
  expect(worn.flanks.share.value).toBeLessThan(0.25);
});
