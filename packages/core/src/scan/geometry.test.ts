import fc from 'fast-check';
import { strongestWave } from './count.ts';
import { roundEllipse } from './disc.ts';
import { otsu } from './things.ts';
import { frameOf } from './frame.ts';
import { convexHull, type Point } from './hull.ts';
import { evenAngle, pictureAngle } from './lean.ts';
import { leastSquares, quantile, robustFit } from '../inference/leastSquares.ts';
import { shrink } from './picture.ts';
import { RAYS } from './unwrap.ts';

const finite = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('a frame leads into the picture and back, whatever ellipse it was moved to', () => {
  fc.assert(
    fc.property(finite(0.5, 1.2), finite(-3, 3), finite(-0.1, 0.1), finite(-0.1, 0.1), (radius, angle, second, fourth) => {
      const frame = frameOf(300, 200, 80).moved([1.05, 0.02, -0.03, second, fourth]);
      const back = frame.toPlane(...frame.toPicture(radius, angle));
      expect(back.radius).toBeCloseTo(radius, 9);
      expect(Math.cos(back.angle - angle)).toBeCloseTo(1, 9);
    }),
  );
});

test('finds an ellipse through points of which some stand out', () => {
  const points = Array.from({ length: 60 }, (_, i): Point => {
    const at = (2 * Math.PI * i) / 60;
    const out = i % 11 === 0 ? 1.2 : 1;
    return [200 + 100 * out * Math.cos(at), 150 + 94 * out * Math.sin(at)];
  });
  const frame = roundEllipse(points);
  if (typeof frame === 'string') throw new Error(frame);
  expect([frame.x, frame.y, frame.long, frame.short].map(Math.round)).toEqual([200, 150, 100, 94]);
  expect(Math.abs(Math.sin(frame.axis))).toBeLessThan(0.05);
});

test('all points lie within their hull, and its corners are points', () => {
  const point = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
  fc.assert(
    fc.property(fc.uniqueArray(point, { minLength: 4, maxLength: 40, selector: String }), (points) => {
      const hull = convexHull(points);
      for (const corner of hull) expect(points).toContainEqual(corner);
      for (const [x, y] of points) {
        hull.forEach(([ax, ay], i) => {
          const [bx, by] = hull[(i + 1) % hull.length] as Point;
          expect((bx - ax) * (y - ay) - (by - ay) * (x - ax)).toBeGreaterThanOrEqual(0);
        });
      }
    }),
  );
});

test('least squares meets an exact line, and the robust one in spite of a far point', () => {
  const rows = Array.from({ length: 12 }, (_, i) => ({ factors: [1, i], value: 3 - 0.5 * i, weight: 1 }));
  leastSquares(rows, 2)?.forEach((each, i) => expect(each).toBeCloseTo([3, -0.5][i] ?? NaN, 9));
  robustFit([...rows, { factors: [1, 12], value: 40, weight: 1 }], 2)?.forEach((each, i) =>
    expect(each).toBeCloseTo([3, -0.5][i] ?? NaN, 6),
  );
  expect(leastSquares([{ factors: [1, 1], value: 1, weight: 1 }], 2)).toBeNull();
});

test('Otsu parts two heaps between them', () => {
  const heaps = Float32Array.from({ length: 400 }, (_, i) => (i < 300 ? 10 + (i % 5) : 30 + (i % 3)));
  expect(otsu(heaps)).toBeGreaterThan(14);
  expect(otsu(heaps)).toBeLessThanOrEqual(30);
});

test('the strongest wave is the one put in, with its crest where it was put', () => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 150 }), finite(0, 0.03), (teeth, phase) => {
      const ring = Float32Array.from(
        { length: RAYS },
        (_, ray) => Math.cos(teeth * ((2 * Math.PI * ray) / RAYS - phase)) + 0.3 * Math.cos((2 * Math.PI * ray) / RAYS),
      );
      const found = strongestWave(ring);
      expect(found?.teeth).toBe(teeth);
      expect(Math.cos(teeth * ((found?.phase ?? 0) - phase))).toBeCloseTo(1, 4);
    }),
  );
});

test('bent angles are bent back', () => {
  fc.assert(
    fc.property(finite(-3, 3), finite(-0.06, 0.06), finite(-0.06, 0.06), (angle, east, south) => {
      const lean = [east, south, 0.01, -0.01] as const;
      expect(evenAngle(lean, pictureAngle(lean, angle))).toBeCloseTo(angle, 4);
    }),
  );
});

test('a picture made smaller keeps its mean colour', () => {
  const rgba = Uint8ClampedArray.from({ length: 60 * 40 * 4 }, (_, i) => (i * 37) % 256);
  const { rgb, factor } = shrink({ width: 60, height: 40, rgba }, 20);
  expect(factor).toBe(3);
  const mean = (list: ArrayLike<number>, step: number) =>
    Array.from(list)
      .filter((_, i) => step === 3 || i % 4 < 3)
      .reduce((sum, each) => sum + each, 0) /
    ((list.length * 3) / (step === 3 ? 3 : 4));
  expect(Math.abs(mean(rgb, 3) - mean(rgba.slice(0, 60 * 39 * 4), 4))).toBeLessThan(3);
  expect(quantile([3, 1, 2], 1)).toBe(3);
});
