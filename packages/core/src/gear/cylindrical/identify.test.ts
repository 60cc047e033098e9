import fc from 'fast-check';
import { cylindricalDimensions } from './dimensions.ts';
import { identifyCylindrical } from './identify.ts';
import { identifyInput } from './identifySchema.ts';
import { cylindricalInput } from './schema.ts';

const ask = (given: object) => identifyCylindrical(identifyInput.parse(given));
const read = (value: number, plusMinus = 0.03) => ({ value, plusMinus });
const span = (teeth: number, spanMm: number) => ({ teeth, spanMm: read(spanMm) });
const sum = ({ candidates, noneOfTheseProbability }: ReturnType<typeof ask>) =>
  candidates.reduce((total, { probability }) => total + probability, noneOfTheseProbability);

/** What a caliper reads on a gear, without error. */
function readings(
  given: { teeth: number; profileShift?: number; pressureAngleDeg?: number } & ({ normalModuleMm: number } | { diametralPitch: number }),
  thinned = 0,
) {
  const gear = (spanTeeth?: number) => cylindricalDimensions(cylindricalInput.parse({ ...given, toothThinningMm: thinned, spanTeeth }));
  const whole = gear();
  const [near, far] = [whole.spanTeeth, whole.spanTeeth + 2];
  return {
    tipDiameterMm: read(whole.tipDiameterMm - thinned),
    rootDiameterMm: read(whole.rootDiameterMm),
    spans: [span(near, whole.spanMm), span(far, gear(far).spanMm)],
  };
}

test('a worn module-1 wheel of 25 teeth is known by its tips and two spans, and its shift and wear with it', () => {
  const [first] = ask({ teeth: 25, measurements: readings({ teeth: 25, normalModuleMm: 1, profileShift: 0.1 }, 0.08) }).candidates;
  expect(first).toMatchObject({ system: 'module', size: 1, pressureAngleDeg: 20, helixAngleDeg: 0, teeth: 25 });
  expect(first?.probability).toBeGreaterThan(0.9);
  expect(first?.profileShift).toBeCloseTo(0.1, 0);
  expect(first?.toothThinningMm).toBeGreaterThan(0.01);
});

test('the same size in inches and in millimetres is told apart by the spans', () => {
  const inch = ask({ teeth: 40, measurements: readings({ teeth: 40, diametralPitch: 24 }) });
  expect(inch.candidates[0]).toMatchObject({ system: 'diametralPitch', size: 24 });
  const metric = ask({ teeth: 40, measurements: readings({ teeth: 40, normalModuleMm: 1 }) });
  expect(metric.candidates[0]).toMatchObject({ system: 'module', size: 1 });
});

test('old pressure angles are told from new ones', () => {
  const old = ask({ teeth: 32, measurements: readings({ teeth: 32, diametralPitch: 16, pressureAngleDeg: 14.5 }) });
  expect(old.candidates[0]).toMatchObject({ size: 16, pressureAngleDeg: 14.5 });
});

test('a broken wheel: seven teeth over 96 degrees and a span tell how many it had', () => {
  const { spans } = readings({ teeth: 26, normalModuleMm: 1.25 });
  const piece = { teethOverArc: { teeth: 7, arcDeg: { value: 96.9, plusMinus: 0.8 } }, measurements: { spans } };
  const found = ask(piece);
  expect(found.candidates[0]).toMatchObject({ teeth: 26, size: 1.25 });
  expect(sum(found)).toBeCloseTo(1, 9);
});

test('a helix that was measured is taken into account', () => {
  const whole = cylindricalDimensions(cylindricalInput.parse({ teeth: 24, normalModuleMm: 2, helixAngleDeg: 20 }));
  const far = cylindricalDimensions(
    cylindricalInput.parse({ teeth: 24, normalModuleMm: 2, helixAngleDeg: 20, spanTeeth: whole.spanTeeth + 2 }),
  );
  const { candidates } = ask({
    teeth: 24,
    measurements: {
      tipDiameterMm: read(whole.tipDiameterMm),
      helixAngleDeg: { value: 20.3, plusMinus: 0.5 },
      spans: [span(whole.spanTeeth, whole.spanMm), span(far.spanTeeth, far.spanMm)],
    },
  });
  expect(candidates[0]).toMatchObject({ size: 2, pressureAngleDeg: 20 });
  expect(candidates[0]?.helixAngleDeg).toBeCloseTo(20, 0);
});

test('chances and none-of-these sum to one, whatever was read', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 12, max: 80 }),
      fc.double({ min: 5, max: 200, noNaN: true }),
      fc.option(fc.double({ min: 2, max: 60, noNaN: true })),
      (teeth, tip, over) => {
        const spans = over === null ? [] : [span(3, over)];
        const found = ask({ teeth, measurements: { tipDiameterMm: read(tip), spans } });
        expect(sum(found)).toBeCloseTo(1, 6);
        for (const { probability } of found.candidates) expect(probability).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 60 },
  );
});

test('a gear of no standard is said to be none of these', () => {
  const odd = readings({ teeth: 30, normalModuleMm: 3.3 });
  expect(ask({ teeth: 30, measurements: odd }).noneOfTheseProbability).toBeGreaterThan(0.5);
});

test('with the tips alone it asks for a span, and says what that is worth', () => {
  const { nextMeasurement } = ask({ teeth: 25, measurements: { tipDiameterMm: read(26.95) } });
  expect(nextMeasurement).toMatchObject({ quantity: 'spanMm', spanTeeth: expect.any(Number) as number });
  expect(nextMeasurement?.expectedBits).toBeGreaterThan(0.1);
});

test('once it is sure there is nothing left to measure', () => {
  const all = readings({ teeth: 25, normalModuleMm: 3 });
  expect(ask({ teeth: 25, measurements: all }).nextMeasurement).toBeNull();
});

test('wear thins and never thickens: a span that is too long speaks against the size', () => {
  const { spans, ...rest } = readings({ teeth: 25, normalModuleMm: 1 });
  const chance = (more: number) =>
    ask({
      teeth: 25,
      measurements: { ...rest, spans: spans.map(({ teeth, spanMm }) => span(teeth, spanMm.value + more)) },
    }).candidates.find(({ system, size, pressureAngleDeg }) => system === 'module' && size === 1 && pressureAngleDeg === 20)
      ?.profileShift ?? 0;
  // Longer spans are explained by more shift, not by negative wear.
  expect(chance(0.15)).toBeGreaterThan(chance(0));
});

test.each([
  [{ teeth: 25, measurements: {} }, 'measurements'],
  [{ measurements: { tipDiameterMm: read(20) } }, 'teeth'],
  [{ teeth: 25, measurements: { tipDiameterMm: read(20), rootDiameterMm: read(21) } }, 'measurements.rootDiameterMm'],
  [{ teeth: 12, measurements: { spans: [span(12, 40)] } }, 'measurements.spans.0.teeth'],
  [{ teeth: 25, measurements: { spans: [span(3, 7.7), span(4, 7.6)] } }, 'measurements.spans.1.spanMm'],
  [{ teethOverArc: { teeth: 7, arcDeg: read(0) }, measurements: { tipDiameterMm: read(20) } }, 'teethOverArc.arcDeg.value'],
])('%j is refused', (given, path) => expect(() => ask(given)).toThrow(expect.objectContaining({ path })));

test('of a broken wheel nothing is advised that the piece is too short for', () => {
  const piece = (spans: object[]) => ask({ teethOverArc: { teeth: 6, arcDeg: read(53, 0.5) }, measurements: { spans } }).nextMeasurement;
  expect(piece([span(3, 9.99)])?.spanTeeth).toBeLessThanOrEqual(7);
  expect([undefined, 2, 3]).toContain(piece([4, 5, 6, 7].map((k) => span(k, 9.99 + (k - 3) * 3.69)))?.spanTeeth);
});

test('an arc that leaves hundreds of counts open is refused instead of being summed over', () => {
  const arc = (plusMinus: number) => ({
    teethOverArc: { teeth: 8, arcDeg: { value: 11, plusMinus } },
    measurements: { spans: [{ teeth: 5, spanMm: { value: 27.69, plusMinus: 5 } }] },
  });
  const given = (plusMinus: number) => () => identifyCylindrical(identifyInput.parse(arc(plusMinus)));
  expect(given(0.7)).toThrow(expect.objectContaining({ path: 'teethOverArc.arcDeg.plusMinus' }));
  expect(given(0.05)().candidates.length).toBeGreaterThan(0);
});

test('a helix leans by less than a right angle, whatever the protractor is said to read', () => {
  const of = (value: number) => ({
    teeth: 20,
    measurements: { tipDiameterMm: { value: 44, plusMinus: 0.05 }, helixAngleDeg: { value, plusMinus: 60 } },
  });
  expect(identifyInput.safeParse(of(100_000)).success).toBe(false);
  const { candidates } = identifyCylindrical(identifyInput.parse(of(-80)));
  for (const { helixAngleDeg, predicted } of candidates) {
    expect(helixAngleDeg).toBeLessThan(75);
    expect(predicted.tipDiameterMm).toBeGreaterThan(0);
  }
});
