import { CoreFailure } from '../failure/CoreFailure.ts';
import { speedometerInput, speedometerProof } from './speedometer.ts';

const proof = (points: readonly (readonly [reference: number, shown: number])[], predictedPercent?: number) =>
  speedometerProof(speedometerInput.parse({ points: points.map(([reference, shown]) => ({ reference, shown })), predictedPercent }));
const SCATTERED = [
  [50, 53],
  [75, 77],
  [100, 104],
] as const;

test('a line through three readings, by hand: slope, offset, what is left over and how sure it is', () => {
  // Slope (625 + 650)/1250, through (75, 78); left over 0.5, −1, 0.5.
  expect(proof(SCATTERED)).toEqual({
    errorPercent: expect.closeTo(2, 9) as number,
    offset: expect.closeTo(1.5, 9) as number,
    residual: expect.closeTo(Math.SQRT1_2, 9) as number,
    standardErrorPercent: expect.closeTo(100 * Math.sqrt(1.5 / 1250), 9) as number,
    withinRule: true,
  });
});

test('it agrees with what was reckoned within what the readings themselves leave open, on the slope and on the whole', () => {
  // On the whole 4 % high, and open by 1 % and 200·√(1.5/3)/75 = 1.886 %: from 1.114 % on.
  expect([1.2, 1.0, 6.8, 7.0].map((predicted) => proof(SCATTERED, predicted).agrees)).toEqual([true, false, true, false]);
  // Two readings leave a line that fits by itself: open by 3 %.
  const two = [
    [50, 52],
    [100, 104],
  ] as const;
  expect([1.1, 0.9, 6.9, 7.1].map((predicted) => proof(two, predicted).agrees)).toEqual([true, false, true, false]);
});

test('a needle that shows the same too much everywhere does not agree with a true one, though its slope does', () => {
  const much = (by: number) =>
    proof(
      [
        [30, 30 + by],
        [60, 60 + by],
        [90, 90 + by],
      ],
      0,
    );
  expect([much(0.5).agrees, much(3).agrees]).toEqual([true, false]);
  expect(much(3).errorPercent).toBeCloseTo(0, 9);
});

test('the rule: never too little, never more than a tenth and 4 km/h too much', () => {
  const within = (shown: number) =>
    proof([
      [50, 50],
      [100, shown],
    ]).withinRule;
  expect([99.9, 100, 114, 114.1].map(within)).toEqual([false, true, true, false]);
});

test('readings at one speed draw no line', () => {
  expect(() =>
    proof([
      [50, 52],
      [50, 53],
    ]),
  ).toThrow(CoreFailure);
  expect(
    proof([
      [50, 52],
      [51, 53],
    ]).standardErrorPercent,
  ).toBeNull();
});
