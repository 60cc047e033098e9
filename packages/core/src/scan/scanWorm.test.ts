import { seeded } from '../testing.ts';
import { scanWorm } from './scanWorm.ts';
import { rod, worm, type Worm } from './scenes/solids.ts';
import { onPaper, photograph, type Patch, type View } from './scenes/splat.ts';

const view = (change: Partial<View> = {}): View =>
  onPaper({ width: 420, height: 300, pxPerMm: 5, leanDeg: 4, towardsDeg: 30, unevenness: 0.2, random: seeded(5), ...change });
const WORM: Worm = {
  colour: [196, 150, 70],
  pitchMm: 4.71,
  starts: 1,
  hand: 'right',
  tipRadiusMm: 9,
  depthMm: 3.3,
  threadedMm: 42,
  shaftRadiusMm: 4,
  shaftMm: 10,
};
const read = (patches: readonly Patch[], change?: Partial<View>) => scanWorm(photograph(patches, view(change)));

test.each([
  ['right', 1, 15],
  ['left', 2, -40],
  ['right', 2, 100],
] as const)('a %s-hand worm of %i starts, turned by %i degrees, is read from its side', (hand, starts, turnedDeg) => {
  const found = read(worm({ ...WORM, hand, starts, turnedDeg }));
  expect(found).toMatchObject({ read: true, hand });
  if (!found.read) return;
  expect([null, starts]).toContain(found.starts);
  expect(Math.abs(found.pitchShare.value / (4.71 / 18) - 1)).toBeLessThan(0.04);
  expect(found.threads).toBeGreaterThanOrEqual(7);
});

test('with a known length its pitch and its outside diameter are lengths', () => {
  const photo = photograph(worm(WORM), view({ leanDeg: 0 }));
  // 42 + 20 mm from end to end, at five pixels a millimetre and a worm's radius nearer to the camera.
  const found = scanWorm({ ...photo, scale: { from: { xPx: 55, yPx: 150 }, to: { xPx: 365, yPx: 150 }, lengthMm: 62 / 1.0226 } });
  expect(found).toMatchObject({ read: true });
  if (!found.read) return;
  expect(Math.abs((found.axialPitchMm?.value ?? 0) / 4.71 - 1)).toBeLessThan(0.05);
  expect(Math.abs((found.tipDiameterMm?.value ?? 0) / 18 - 1)).toBeLessThan(0.06);
});

test('rings, a plain rod and an empty bench are no worms', () => {
  const rings = rod({
    colour: [60, 60, 66],
    radiusMm: 9,
    lengthMm: 60,
    grooves: Array.from({ length: 12 }, (_, i) => -22 + 4 * i),
    grooveMm: 2,
  });
  expect(read(rings, { leanDeg: 0 })).toMatchObject({ read: false });
  expect(read(rod({ colour: [60, 60, 66], radiusMm: 9, lengthMm: 60 }))).toMatchObject({ read: false, reason: 'noThreads' });
  expect(read([])).toMatchObject({ read: false, reason: 'noGear' });
});
