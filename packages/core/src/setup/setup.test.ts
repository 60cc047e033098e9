import fc from 'fast-check';
import { refusalOf, seeded } from '../testing.ts';
import { eccentricInput, eccentricSleeve } from './eccentric.ts';
import { lubricantFor, lubricantInput } from './lubricant.ts';
import { shimsInput, shimStack } from './shims.ts';
import { sidesInTime, timingInput } from './timing.ts';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const rad = Math.PI / 180;

test('trials of a known sleeve give the sleeve back, and the proposed angle shows what was wanted', () => {
  fc.assert(
    fc.property(
      number(0.1, 0.5),
      number(0.02, 0.09),
      number(0, 359),
      number(-0.9, 0.9),
      number(0, 60),
      (mean, amplitude, loosest, share, first) => {
        const truth = (deg: number) => mean + amplitude * Math.cos((deg - loosest) * rad);
        const trials = [0, 70, 160, 250].map((step) => ({
          sleeveDeg: first + step,
          backlashMm: { value: truth(first + step), plusMinus: 0.01 },
        }));
        const wantedMm = mean + share * amplitude;
        const found = eccentricSleeve(eccentricInput.parse({ trials, wantedMm }));
        expect(found.meanMm).toBeCloseTo(mean, 6);
        expect(found.amplitudeMm).toBeCloseTo(amplitude, 6);
        expect(truth(found.tightestAtDeg)).toBeCloseTo(mean - amplitude, 6);
        for (const angle of found.angles) expect(truth(angle)).toBeCloseTo(wantedMm, 6);
        expect(found.next?.backlashMm.value).toBeCloseTo(wantedMm, 6);
      },
    ),
  );
});

test('read with an error, the proposed angle shows what was wanted within three of its standard errors, nearly always', () => {
  const random = seeded(7);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let inside = 0;
  for (let i = 0; i < 300; i++) {
    const truth = (deg: number) => 0.2 + 0.08 * Math.cos((deg - 40) * rad);
    const trials = [0, 100, 220].map((sleeveDeg) => ({
      sleeveDeg,
      backlashMm: { value: truth(sleeveDeg) + 0.01 * normal(), plusMinus: 0.01 },
    }));
    const { next } = eccentricSleeve(eccentricInput.parse({ trials, wantedMm: 0.18 }));
    if (next && Math.abs(truth(next.sleeveDeg) - 0.18) <= 3 * next.backlashMm.plusMinus) inside++;
  }
  expect(inside).toBeGreaterThan(285);
});

test('with two trials and the eccentricity the curve goes through both, and says that a third would tell', () => {
  fc.assert(
    fc.property(number(0.12, 0.5), number(0, 359), number(20, 160), (mean, loosest, step) => {
      const amplitude = 0.1;
      const truth = (deg: number) => mean + amplitude * Math.cos((deg - loosest) * rad);
      const trials = [10, 10 + step].map((sleeveDeg) => ({ sleeveDeg, backlashMm: { value: truth(sleeveDeg), plusMinus: 0.01 } }));
      const eccentricityMm = amplitude / (2 * Math.tan(20 * rad));
      const found = eccentricSleeve(eccentricInput.parse({ trials, wantedMm: mean, eccentricityMm }));
      expect(found.residualMm).toBeLessThan(1e-9);
      expect([found.amplitudeMm, found.ambiguous]).toEqual([expect.closeTo(amplitude, 9), true]);
    }),
  );
});

test('a stack that holds for the whole ± of the float goes before others; of those none has fewer pieces, or as many and lies nearer the middle', () => {
  const shim = fc.record({ thicknessMm: fc.integer({ min: 5, max: 60 }).map((each) => each / 100), count: fc.integer({ min: 0, max: 3 }) });
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 200 }),
      fc.array(shim, { maxLength: 4 }),
      fc.integer({ min: 0, max: 30 }),
      (float, shims, range) => {
        const [minMm, maxMm, value] = [0.05, 0.05 + range / 100, float / 100];
        const found = shimStack(shimsInput.parse({ floatMm: { value, plusMinus: 0.01 }, wanted: { minMm, maxMm }, shims }));
        const every = shims.reduce<readonly (readonly [height: number, pieces: number])[]>(
          (all, { thicknessMm, count }) =>
            all.flatMap(([height, pieces]) => Array.from({ length: count + 1 }, (_, n) => [height + n * thicknessMm, pieces + n] as const)),
          [[0, 0]],
        );
        const within = (doubt: number) =>
          every.filter(([height]) => value - height >= minMm + doubt - 1e-6 && value - height <= maxMm - doubt + 1e-6);
        const [sure, all] = [within(0.01), within(0)];
        expect([found.stack === null, found.sure]).toEqual([all.length === 0, sure.length > 0]);
        const good = sure.length > 0 ? sure : all;
        if (found.stack === null) return;
        const fewest = Math.min(...good.map(([, pieces]) => pieces));
        expect(found.pieces).toBe(fewest);
        const off = (left: number) => Math.abs(left - (minMm + maxMm) / 2);
        const nearest = Math.min(...good.filter(([, pieces]) => pieces === fewest).map(([height]) => off(value - height)));
        expect(off(found.leftMm)).toBeCloseTo(nearest, 6);
        const height = found.stack.reduce((sum, { thicknessMm, count }) => sum + thicknessMm * count, 0);
        expect(value - height).toBeCloseTo(found.leftMm, 6);
      },
    ),
  );
});

test('after the jump less than half a tooth is left over, and the other side mirrored says the same', () => {
  fc.assert(
    fc.property(number(0, 800), number(0, 800), (leftMm, rightMm) => {
      const asked = { leftMm, rightMm, toleranceMm: 0.5, teeth: 12, moduleMm: 2 };
      const found = sidesInTime(timingInput.parse(asked));
      const mirrored = sidesInTime(timingInput.parse({ ...asked, leftMm: rightMm, rightMm: leftMm }));
      if (!found.within) expect(Math.abs(found.leftOverMm)).toBeLessThanOrEqual(Math.PI + 1e-9);
      expect([found.teeth, found.differenceMm]).toEqual([mirrored.teeth, mirrored.differenceMm]);
      if (found.behind) expect(mirrored.behind).toBe(found.behind === 'left' ? 'right' : 'left');
    }),
  );
});

test('what a place is made to hold goes before the pair; a brake, a hydraulic drive and a hydrostat are named no fluid', () => {
  const of = (more: object) => lubricantFor(lubricantInput.parse({ materials: ['steel', 'bronze'], ...more }));
  for (const contains of ['hydraulicFluid', 'hydrostaticFluid', 'brakeFluid'] as const)
    expect(of({ contains, holds: 'oil' })).toMatchObject({ lubricant: null, grade: null, because: 'plateOnly', nevers: [] });
  expect(of({ contains: 'dry' })).toMatchObject({ lubricant: null, because: 'runsDry' });
  expect(of({ contains: 'grease', holds: 'oil' })).toMatchObject({ lubricant: 'greaseWorm', because: 'contains' });
  expect(of({ contains: 'engineOil' })).toMatchObject({ lubricant: 'engineOil', grade: null });
  expect(of({ holds: 'oil' })).toMatchObject({ lubricant: 'wormOil', because: 'pair' });
  expect(refusalOf(() => of({}))).toMatchObject({ code: 'missing', path: 'holds' });
});
