import fc from 'fast-check';
import { degrees, radians } from '../../quantity/angle.ts';
import { cylindricalDimensions } from './dimensions.ts';
import { inverseInvolute, involute } from './involute.ts';
import { meshInput, meshPair } from './mesh.ts';
import { cylindricalInput } from './schema.ts';
import { gearWear, wearInput } from './wear.ts';

const gear = fc.record({
  teeth: fc.integer({ min: 14, max: 120 }),
  normalModuleMm: fc.double({ min: 0.3, max: 6, noNaN: true }),
  pressureAngleDeg: fc.constantFrom(14.5, 20, 25),
  helixAngleDeg: fc.double({ min: -35, max: 35, noNaN: true }),
  profileShift: fc.double({ min: -0.1, max: 0.5, noNaN: true }),
});
const dimensions = (given: object) => cylindricalDimensions(cylindricalInput.parse(given));
const wear = (given: object) => gearWear(wearInput.parse(given));

test('the involute and its inverse undo each other, to the last digits', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 1.3, noNaN: true }), (angle) => {
      expect(inverseInvolute(involute(angle))).toBeCloseTo(angle, 10);
    }),
  );
  // Any table of the involute: inv 20° = 0.014904, inv 14.5° = 0.005545.
  expect(involute(radians(20))).toBeCloseTo(0.014904, 6);
  expect(involute(radians(14.5))).toBeCloseTo(0.005545, 6);
  expect(degrees(inverseInvolute(0.0149043838))).toBeCloseTo(20, 6);
  expect(inverseInvolute(-0.001)).toBeNaN();
});

test('a span one tooth longer is one base pitch longer', () => {
  fc.assert(
    fc.property(gear, (given) => {
      const { spanTeeth, spanMm, basePitchMm } = dimensions(given);
      expect(dimensions({ ...given, spanTeeth: spanTeeth + 1 }).spanMm - spanMm).toBeCloseTo(basePitchMm, 9);
    }),
  );
});

test('thinner teeth read shorter over teeth and over pins, and the wear read from either is the thinning', () => {
  fc.assert(
    fc.property(gear, fc.double({ min: 0.005, max: 0.1, noNaN: true }), (given, share) => {
      const thinned = share * given.normalModuleMm;
      const pinDiameterMm = 1.8 * given.normalModuleMm;
      const [whole, worn] = [dimensions({ ...given, pinDiameterMm }), dimensions({ ...given, pinDiameterMm, toothThinningMm: thinned })];
      expect(worn.spanMm).toBeLessThan(whole.spanMm);
      expect(worn.overPinsMm ?? 0).toBeLessThan(whole.overPinsMm ?? 0);
      const bySpan = wear({
        gear: given,
        measured: { spans: [{ teeth: worn.spanTeeth, spanMm: { value: worn.spanMm, plusMinus: 0.01 } }] },
      });
      const byPins = wear({
        gear: given,
        measured: { overPins: [{ pinDiameterMm, overPinsMm: { value: worn.overPinsMm, plusMinus: 0.01 } }] },
      });
      expect(bySpan.thinningMm.value).toBeCloseTo(thinned, 7);
      expect(byPins.thinningMm.value).toBeCloseTo(thinned, 6);
    }),
  );
});

test('a pair at its own close distance has no backlash, further apart it has, and the turn of the wheel is that of its circle', () => {
  fc.assert(
    fc.property(gear, fc.integer({ min: 14, max: 90 }), fc.double({ min: 0, max: 0.3, noNaN: true }), (given, teeth, apart) => {
      const { teeth: z1, profileShift, ...cut } = given;
      const pair = { ...cut, pinion: { teeth: z1, profileShift }, wheel: { teeth } };
      const close = meshPair(meshInput.parse(pair));
      expect(close.circumferentialBacklashMm).toBeCloseTo(0, 7);
      const drawn = meshPair(meshInput.parse({ ...pair, centreDistanceMm: close.centreDistanceMm + apart * given.normalModuleMm }));
      expect(drawn.circumferentialBacklashMm).toBeGreaterThanOrEqual(-1e-7);
      expect(drawn.transverseContactRatio).toBeLessThanOrEqual(close.transverseContactRatio + 1e-9);
      expect(drawn.normalBacklashMm).toBeLessThanOrEqual(drawn.circumferentialBacklashMm + 1e-12);
    }),
  );
});

test('hand of the helix changes no dimension', () => {
  fc.assert(
    fc.property(gear, (given) => {
      const { leadMm: _, ...one } = dimensions(given);
      const { leadMm: __, ...other } = dimensions({ ...given, helixAngleDeg: -given.helixAngleDeg });
      expect(Object.values(one).flat()).toEqual(Object.values(other).flat());
    }),
  );
});

test('readings that are not sharp enough do not make a gear good', () => {
  const spanMm = dimensions({ teeth: 25, normalModuleMm: 1 }).spanMm;
  const read = (thinned: number, plusMinus: number) =>
    wear({
      gear: { teeth: 25, normalModuleMm: 1 },
      measured: { spans: [{ teeth: 3, spanMm: { value: spanMm - thinned * Math.cos(radians(20)), plusMinus } }] },
    });
  expect(read(0.02, 0.005).verdict).toBe('good');
  expect(read(0.02, 0.05)).toMatchObject({ verdict: 'watch', reasons: ['notSharpEnough'] });
  expect(read(0.07, 0.005).verdict).toBe('watch');
  expect(read(0.12, 0.005).verdict).toBe('replace');
});

test('two readings weigh by their ±: the sharper pulls harder, together they are sharper than each', () => {
  const spanMm = dimensions({ teeth: 25, normalModuleMm: 1 }).spanMm;
  const spans = [
    { teeth: 3, spanMm: { value: spanMm - 0.1, plusMinus: 0.1 } },
    { teeth: 3, spanMm: { value: spanMm, plusMinus: 0.01 } },
  ];
  const { thinningMm } = wear({ gear: { teeth: 25, normalModuleMm: 1 }, measured: { spans } });
  expect(thinningMm.value).toBeLessThan(0.003);
  expect(thinningMm.plusMinus).toBeLessThan(0.01 / Math.cos(radians(20)));
});
