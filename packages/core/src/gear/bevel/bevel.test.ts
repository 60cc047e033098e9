import fc from 'fast-check';
import { radians } from '../../quantity/angle.ts';
import { bevelDimensions, bevelInput } from './dimensions.ts';

const pair = fc.record({
  pinionTeeth: fc.integer({ min: 8, max: 40 }),
  wheelTeeth: fc.integer({ min: 8, max: 80 }),
  outerModuleMm: fc.double({ min: 0.5, max: 6, noNaN: true }),
  shaftAngleDeg: fc.double({ min: 30, max: 90, noNaN: true }),
});
const of = (given: object) => bevelDimensions(bevelInput.parse(given));

test('both cones share their apex: their angles make up the shaft angle, their sines stand as the teeth', () => {
  fc.assert(
    fc.property(pair, (given) => {
      const { pinionConeAngleDeg: one, wheelConeAngleDeg: other, ratio } = of(given);
      expect(one + other).toBeCloseTo(given.shaftAngleDeg, 9);
      expect(Math.sin(radians(other)) / Math.sin(radians(one))).toBeCloseTo(ratio, 9);
    }),
  );
});

test('the cone is as long by the wheel as by the pinion, and no virtual gear has fewer teeth than the real one', () => {
  fc.assert(
    fc.property(pair, (given) => {
      const made = of(given);
      expect(made.wheelOuterPitchDiameterMm / (2 * Math.sin(radians(made.wheelConeAngleDeg)))).toBeCloseTo(made.outerConeDistanceMm, 6);
      expect(made.pinionVirtualTeeth).toBeGreaterThanOrEqual(given.pinionTeeth);
      expect(made.wheelVirtualTeeth).toBeGreaterThanOrEqual(given.wheelTeeth);
      expect(made.pinionOuterTipDiameterMm).toBeGreaterThan(made.pinionOuterPitchDiameterMm);
    }),
  );
});

test('a mitre pair stands at 45 degrees, whatever its size', () => {
  expect(of({ pinionTeeth: 16, wheelTeeth: 16, outerModuleMm: 2 })).toMatchObject({
    ratio: 1,
    outerConeDistanceMm: expect.closeTo(22.627417, 5) as number,
  });
  expect(of({ pinionTeeth: 16, wheelTeeth: 16, outerModuleMm: 2 }).pinionConeAngleDeg).toBeCloseTo(45, 9);
});

test('halfway along the face the module is that of the middle of the cone', () => {
  const { outerConeDistanceMm, meanModuleMm } = of({ pinionTeeth: 20, wheelTeeth: 40, outerModuleMm: 3, faceWidthMm: 20 });
  expect(meanModuleMm).toBeCloseTo((3 * (outerConeDistanceMm - 10)) / outerConeDistanceMm, 12);
});
