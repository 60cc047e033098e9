import fc from 'fast-check';
import { cutWith, runs } from '../../testing.ts';
import { generatedTooth } from './generated.ts';
import { identifyCylindrical } from './identify.ts';
import { identifyInput } from './identifySchema.ts';
import { profileOf, type Cut } from './profile.ts';
import { faceForSpan, measurableSpans, spanOver } from './span.ts';

const STEPS = 2000;

/**
 * What jaws read and where they touch, by laying them on: down the outer flanks of k teeth as they are drawn, from the tip to the
 * root, until the jaws would have to open again. No formula of a span is asked.
 */
function jawsOn(k: number, cut: Cut, tipRadiusMm: number) {
  const { fillet, flank } = generatedTooth(cut);
  const down = Array.from({ length: STEPS + 1 }, (_, i) => 1 - i / STEPS);
  const points = [...down.map(flank), ...down.map(fillet)].filter(({ radiusMm }) => radiusMm <= tipRadiusMm);
  const widths = points.map(({ radiusMm, halfAngle }) => 2 * radiusMm * Math.sin(halfAngle + (Math.PI * (k - 1)) / cut.teeth));
  const past = widths.findIndex((width, i) => i > 0 && width < (widths[i - 1] ?? 0));
  const touch = past < 0 ? widths.length - 1 : past - 1;
  const radius = points[touch]?.radiusMm ?? 0;
  const clear = Math.min(radius - flank(0).radiusMm, tipRadiusMm - radius) / cut.normalModuleMm;
  return { widthMm: widths[touch] ?? 0, clear };
}

const gears = fc.record({
  teeth: fc.integer({ min: 4, max: 200 }),
  normalModuleMm: fc.constantFrom(0.5, 0.8, 1, 1.25, 2, 4),
  pressureAngleDeg: fc.constantFrom(14.5, 20, 25),
  profileShift: fc.double({ min: -0.5, max: 0.8, noNaN: true }),
});

test('over a span that is called measurable jaws read it, on both flanks; over one that is not they hit a tip or a foot', () => {
  const seen = { measurable: 0, not: 0 };
  fc.assert(
    fc.property(gears, fc.double({ min: 0, max: 0.3, noNaN: true }), (gear, worn) => {
      const cut = cutWith(gear);
      const profile = profileOf(cut);
      const tipRadiusMm = Math.min(profile.tipDiameterMm / 2, generatedTooth(cut).tipRadiusMm) - worn * cut.normalModuleMm;
      if (tipRadiusMm < generatedTooth(cut).flank(0).radiusMm) return;
      const spans = measurableSpans(cut, profile, { tipDiameterMm: 2 * tipRadiusMm, faceWidthMm: null });
      for (const k of spans.slice(0, 4)) {
        const { widthMm, clear } = jawsOn(k, cut, tipRadiusMm);
        seen.measurable++;
        expect(Math.abs(widthMm - spanOver(k, cut, profile))).toBeLessThan(2e-4 * cut.normalModuleMm);
        expect(clear).toBeGreaterThan(0.03);
      }
      const [first, last] = [Math.min(...spans), Math.max(...spans)];
      for (const k of spans.length === 0 ? [2] : [first - 1, last + 1]) {
        if (k < 2 || k >= cut.teeth) continue;
        seen.not++;
        expect(jawsOn(k, cut, tipRadiusMm).clear).toBeLessThan(0.07);
      }
    }),
    { numRuns: runs(150, 2000) },
  );
  expect(seen.measurable).toBeGreaterThan(seen.not / 4);
});

test('a span that is advised after the tips touches the flanks of the gear that it is, whatever its shift', () => {
  let taken = 0;
  const advised = new Set<string>();
  fc.assert(
    fc.property(gears, fc.double({ min: 0, max: 0.12, noNaN: true }), (gear, worn) => {
      const cut = cutWith(gear);
      const tooth = generatedTooth(cut);
      const tipRadiusMm = Math.min(profileOf(cut).tipDiameterMm / 2, tooth.tipRadiusMm) - worn * cut.normalModuleMm;
      if (tipRadiusMm - tooth.flank(0).radiusMm < 0.5 * cut.normalModuleMm) return;
      const { candidates, nextMeasurement } = identifyCylindrical(
        identifyInput.parse({ teeth: gear.teeth, measurements: { tipDiameterMm: { value: 2 * tipRadiusMm, plusMinus: 0.02 } } }),
      );
      advised.add(nextMeasurement?.quantity ?? 'nothing');
      if (nextMeasurement?.quantity !== 'spanMm') return;
      // Of another size or pressure angle the flanks are elsewhere: no span suits all, and the likelier goes first.
      const truth = candidates.find(
        ({ normalModuleMm, pressureAngleDeg }) => normalModuleMm === gear.normalModuleMm && pressureAngleDeg === gear.pressureAngleDeg,
      );
      if ((truth?.probability ?? 0) < 0.5) return;
      taken++;
      expect(jawsOn(nextMeasurement.spanTeeth ?? 0, cut, tipRadiusMm).clear).toBeGreaterThan(0);
    }),
    { numRuns: runs(80, 1000) },
  );
  expect([taken > 10, advised.has('nothing')]).toEqual([true, false]);
});

test('of a helical gear the width is asked first, and a narrow one is not spanned', () => {
  const cut = cutWith({ teeth: 24, normalModuleMm: 2, helixAngleDeg: 20 });
  const profile = profileOf(cut);
  const ask = (faceWidthMm?: number) =>
    identifyCylindrical(
      identifyInput.parse({
        teeth: 24,
        measurements: {
          tipDiameterMm: { value: profile.tipDiameterMm, plusMinus: 0.02 },
          helixAngleDeg: { value: 20, plusMinus: 1 },
          ...(faceWidthMm !== undefined && { faceWidthMm: { value: faceWidthMm, plusMinus: 0.03 } }),
        },
      }),
    ).nextMeasurement;
  expect(ask()).toMatchObject({ quantity: 'faceWidthMm', how: 'acrossFace' });
  expect(ask(20)).toMatchObject({ quantity: 'spanMm' });
  expect(ask(1)?.quantity).not.toBe('spanMm');
  // By hand: W over 4 teeth of ISO 21771's example of a base helix of 18.75°, a third of it along the gear.
  const spanMm = spanOver(4, cut, profile);
  expect(faceForSpan(spanMm, cut, profile)).toBeCloseTo(
    spanMm * Math.sin(Math.asin(Math.sin(Math.PI / 9) * Math.cos(Math.PI / 9))) + 0.4,
    9,
  );
});

test('a pinion of few teeth is spanned over one where two are too many, and over none where nothing is left of the flank', () => {
  const pinion = cutWith({ teeth: 6, profileShift: 0.5 });
  const spans = measurableSpans(pinion, profileOf(pinion), { tipDiameterMm: profileOf(pinion).tipDiameterMm, faceWidthMm: null });
  expect(spans.length).toBeGreaterThan(0);
  const worn = cutWith({ teeth: 9, profileShift: -0.3 });
  expect(measurableSpans(worn, profileOf(worn), { tipDiameterMm: profileOf(worn).pitchDiameterMm - 1, faceWidthMm: null })).toEqual([]);
});
