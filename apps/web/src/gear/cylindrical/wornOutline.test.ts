import { profileOf } from '@patient-badger/core/gear';
import { cutWith } from '@patient-badger/core/testing';
import { exaggeration, wornTeeth } from './wornOutline.ts';

const cut = cutWith({ teeth: 30 });

test('little wear is drawn larger, much wear as it is, and never more than leaves a tooth', () => {
  expect([0, 0.01, 0.05, 0.3, 1].map((thinning) => exaggeration(thinning, 1.57))).toEqual([1, 50, 10, 2, 1]);
});

test('the worn teeth lie within the new ones, as many times as written', () => {
  const { factor, asNew, worn } = wornTeeth(cut, 0.05, 0);
  const widest = (points: readonly (readonly [number, number])[]) =>
    Math.max(...points.filter(([x, y]) => Math.abs(x) < 1.2 && y > 14.9).map(([x]) => x));
  expect(factor).toBe(10);
  expect(widest(worn)).toBeLessThan(widest(asNew));
  expect(Math.max(...asNew.map(([, y]) => y))).toBeLessThanOrEqual(profileOf(cut).tipDiameterMm / 2);
  expect(asNew).toHaveLength(worn.length);
});
