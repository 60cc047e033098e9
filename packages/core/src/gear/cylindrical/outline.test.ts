import fc from 'fast-check';
import { gearOutline } from './outline.ts';
import { cutWith } from '../../testing.ts';
import { profileOf, type Cut } from './profile.ts';
import { spanOver } from './span.ts';

const spur = (change: Parameters<typeof cutWith>[0] = {}): Cut => cutWith({ normalModuleMm: 2, ...change });
const radii = (cut: Cut) => gearOutline(cut).map(([x, y]) => Math.hypot(x, y));

test('reaches from the root circle to the tip circle and nowhere beyond', () => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 120 }), fc.double({ min: -0.2, max: 0.5, noNaN: true }), (teeth, profileShift) => {
      const cut = spur({ teeth, profileShift });
      const { tipDiameterMm, rootDiameterMm } = profileOf(cut);
      expect(Math.max(...radii(cut))).toBeCloseTo(tipDiameterMm / 2, 9);
      expect(Math.min(...radii(cut))).toBeCloseTo(rootDiameterMm / 2, 9);
    }),
  );
});

test('runs round once without crossing back: the angle never falls below the root', () => {
  const cut = spur();
  const { rootDiameterMm } = profileOf(cut);
  const feet = gearOutline(cut).filter(([x, y]) => Math.abs(Math.hypot(x, y) - rootDiameterMm / 2) < 1e-9);
  expect(feet).toHaveLength(2 * cut.teeth);
  const turned = feet.map(([x, y], i) => {
    const [x1, y1] = feet[(i + 1) % feet.length] ?? [x, y];
    return Math.atan2(x * y1 - y * x1, x * x1 + y * y1);
  });
  expect(Math.min(...turned)).toBeGreaterThan(0);
  expect(turned.reduce((sum, each) => sum + each, 0)).toBeCloseTo(2 * Math.PI, 9);
});

test('flat jaws laid against the drawn flanks read the span: the outline is the involute of the base circle', () => {
  const cut = spur();
  const profile = profileOf(cut);
  const k = 3;
  const span = spanOver(k, cut, profile);
  // Jaws of a caliper along x, the middle one of three teeth upright: the widest of those teeth between tip and form.
  const points = gearOutline(cut).filter(([x, y]) => Math.abs(Math.atan2(x, y)) < (Math.PI * k) / cut.teeth);
  const width = Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x));
  expect(Math.abs(width - span)).toBeLessThan(0.02 * cut.normalModuleMm);
});

test('thinned teeth are drawn thinner', () => {
  const width = (cut: Cut) => {
    const [first, , , fourth] = gearOutline(cut);
    return Math.hypot((first?.[0] ?? 0) - (fourth?.[0] ?? 0), (first?.[1] ?? 0) - (fourth?.[1] ?? 0));
  };
  const area = (cut: Cut) => {
    const points = gearOutline(cut);
    return points.reduce((sum, [x, y], i) => {
      const [x1, y1] = points[(i + 1) % points.length] ?? [x, y];
      return sum + (x * y1 - y * x1) / 2;
    }, 0);
  };
  expect(width(spur())).toBeGreaterThan(0);
  expect(area(spur({ toothThinningMm: 0.4 }))).toBeLessThan(area(spur()) - 25 * 0.4 * 2);
});
