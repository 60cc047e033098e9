import fc from 'fast-check';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { boreOut, stake } from './boreOut.ts';

const size = fc.double({ min: 0.5, max: 60, noNaN: true });

test('law: however it is asked for, a bore is never as wide as its roots, nor is the gauge that it is taken by; and never nothing', () => {
  const given = fc.record({
    shaftDiameterMm: size,
    boreNowMm: size,
    rootDiameterMm: size,
    gapMm: fc.double({ min: -10, max: 50, noNaN: true }),
    toleranceMm: fc.double({ min: 0.001, max: 5, noNaN: true }),
  });
  let taken = 0;
  fc.assert(
    fc.property(given, (asked) => {
      try {
        const { boreDiameterMm, goMm, noGoMm, wallMm, removeMm } = boreOut(asked);
        taken++;
        expect(noGoMm).toBeLessThan(asked.rootDiameterMm);
        expect(goMm).toBeGreaterThan(0);
        expect(boreDiameterMm + 2 * wallMm).toBeCloseTo(asked.rootDiameterMm, 9);
        expect(asked.boreNowMm + removeMm).toBeCloseTo(boreDiameterMm, 9);
      } catch (error) {
        if (!(error instanceof CoreFailure)) throw error;
      }
    }),
    { numRuns: 2000 },
  );
  // Most of what is drawn is refused, and yet not all.
  expect(taken).toBeGreaterThan(100);
});

test('a bore that would be as wide as the roots less its tolerance is refused, a little less is taken', () => {
  const of = (shaftDiameterMm: number) => () =>
    boreOut({ shaftDiameterMm, gapMm: 0, boreNowMm: 10, rootDiameterMm: 20, toleranceMm: 0.05 });
  expect(of(19.96)).toThrow(expect.objectContaining({ path: 'shaftDiameterMm' }));
  expect(of(19.94)()).toMatchObject({ noGoMm: expect.closeTo(19.99, 9), warnings: [] });
});

test('an interference that would take the whole bore names the gap', () => {
  expect(() => boreOut({ shaftDiameterMm: 4, gapMm: -4, boreNowMm: 3, rootDiameterMm: 20, toleranceMm: 0.01 })).toThrow(
    expect.objectContaining({ path: 'gapMm' }),
  );
});

test('a bore is not staked to hold by more than its shaft is wide', () => {
  const of = (wantedInterferenceMm: number) => () =>
    stake({ shaftDiameterMm: 0.6, boreNowMm: 0.62, wantedInterferenceMm, material: 'zincAlloy' });
  expect(of(0.02)()).toMatchObject({ boreDiameterMm: expect.closeTo(0.58, 9) as number });
  expect(of(0.6)).toThrow(expect.objectContaining({ path: 'wantedInterferenceMm' }));
});
