import { wormOutline } from './wormOutline.ts';

const shape = { tipMm: 20, rootMm: 15.5, pitchMm: Math.PI, starts: 1, boreMm: 12, lengthMm: 9, hand: 'right' as const };
const points = (text: string) => text.split(' ').map((pair) => pair.split(',').map(Number) as [number, number]);

test('the drawn worm reaches its tips, its root and its ends and nothing beyond', () => {
  const drawn = points(wormOutline(shape, 5, { x: 170, y: 150 }));
  const radii = drawn.map(([, y]) => Math.abs(y - 150) / 5);
  expect(Math.max(...radii)).toBeCloseTo(10, 2);
  expect(Math.min(...radii)).toBeCloseTo(7.75, 2);
  expect(Math.max(...drawn.map(([x]) => x))).toBeCloseTo(170 + 22.5, 2);
  expect(Math.min(...drawn.map(([x]) => x))).toBeCloseTo(170 - 22.5, 2);
});

test('on a single thread the far edge stands half a pitch further on', () => {
  const drawn = points(wormOutline(shape, 5, { x: 0, y: 0 }));
  const crests = (side: number) =>
    drawn
      .filter(([, y]) => Math.abs(y - side * 50) < 0.01)
      .map(([x]) => x / 5)
      .sort((p, q) => p - q);
  const [over, under] = [crests(-1), crests(1)];
  const gap = Math.abs((over[0] ?? 0) - (under[0] ?? 0)) % Math.PI;
  expect(Math.min(gap, Math.PI - gap)).toBeGreaterThan(0.5);
});
