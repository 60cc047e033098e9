import { seeded } from '../testing.ts';
import { scanSector } from './scanSector.ts';
import { card, rod, sector, spur, type Sector } from './scenes/solids.ts';
import { onPaper, photograph, type Patch, type View } from './scenes/splat.ts';

const view = (change: Partial<View> = {}): View =>
  onPaper({ width: 420, height: 320, pxPerMm: 5, leanDeg: 3, towardsDeg: 40, random: seeded(11), ...change });
/** Teeth of a wheel of 36, module 2: over the tips 76 mm. Its middle lies 18 mm beside that of the picture. */
const QUADRANT: Sector = {
  colour: [70, 70, 76],
  teeth: 36,
  moduleMm: 2,
  present: 10,
  hubRadiusMm: 9,
  thicknessMm: 4,
  x: -16,
  y: -8,
  turnedDeg: -20,
};
const read = (patches: readonly Patch[], change?: Partial<View>) => scanSector(photograph(patches, view(change)));

test.each([
  [6, -20],
  [10, -20],
  [17, 200],
] as const)('%i teeth of a wheel of 36, turned by %i degrees, go over as many pitches of ten degrees less one', (present, turnedDeg) => {
  const found = read(sector({ ...QUADRANT, present, turnedDeg, x: 0, y: 0 }), { pxPerMm: 3.6 });
  expect(found).toMatchObject({ read: true, teeth: present, teethPresent: present });
  if (!found.read) return;
  const { value, plusMinus } = found.arcDeg;
  expect(Math.abs(value - 10 * (present - 1))).toBeLessThan(3 * plusMinus);
  expect(plusMinus).toBeLessThan(0.04 * value);
});

test('a tooth that is gone is a place still, and is said to be gone', () => {
  const found = read(sector({ ...QUADRANT, present: 12, missing: [4], x: 0, y: 0 }), { pxPerMm: 3.6 });
  expect(found).toMatchObject({ read: true, teeth: 12, teethPresent: 11 });
});

test('with a known length, or a card beside it, the circle of its tips is a length: 76 mm', () => {
  const photo = photograph(sector(QUADRANT), view({ leanDeg: 0 }));
  // At five pixels a millimetre, and a face 4 mm nearer to a camera 400 mm away.
  const laid = scanSector({ ...photo, scale: { from: { xPx: 100, yPx: 160 }, to: { xPx: 300, yPx: 160 }, lengthMm: 40 / 1.01 } });
  const pieces = [...sector({ ...QUADRANT, x: -50, y: -6 }), ...card({ colour: [60, 90, 160], widthMm: 85.6, heightMm: 53.98, x: 42 })];
  const beside = scanSector({ ...photograph(pieces, view({ width: 660, pxPerMm: 3.4 })), reference: { kind: 'card' } });
  for (const found of [laid, beside]) {
    expect(found).toMatchObject({ read: true, teeth: 10 });
    if (!found.read || !found.tipDiameterMm) throw new Error('no length');
    expect(Math.abs(found.tipDiameterMm.value - 76)).toBeLessThan(3 * found.tipDiameterMm.plusMinus);
  }
  expect(beside).toMatchObject({ referenceFound: true });
});

test('a whole gear, a rod, and an empty bench are no sectors', () => {
  const whole = spur({ colour: [70, 70, 76], teeth: 24, moduleMm: 2, thicknessMm: 4, boreMm: 10 });
  expect(read(whole)).toEqual({ read: false, reason: 'wholeGear' });
  expect(read(rod({ colour: [60, 60, 66], radiusMm: 9, lengthMm: 60 }))).toEqual({ read: false, reason: 'noTeeth' });
  expect(read([])).toEqual({ read: false, reason: 'noGear' });
});
