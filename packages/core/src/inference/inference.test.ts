import fc from 'fast-check';
import { normalise, predictive, update, type Belief } from './belief.ts';
import { entropyBits } from './entropy.ts';
import { expectedInformation } from './expectedInformation.ts';
import { erf, normalBelow, normalDensity, normalWithin } from './normal.ts';

const weights = fc.array(fc.double({ min: 0.001, max: 1, noNaN: true }), { minLength: 2, maxLength: 8 });
const belief = weights.map((list): Belief => normalise(Object.fromEntries(list.map((weight, i) => [`h${i}`, weight]))));
const likelihoods = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 });
const at = (list: readonly number[]) => (id: string) => list[Number(id.slice(1))] ?? 0;
const total = (each: Belief) => Object.values(each).reduce((sum, p) => sum + p, 0);

test('a posterior sums to one, whatever was seen', () => {
  fc.assert(fc.property(belief, likelihoods, (prior, list) => Math.abs(total(update(prior, at(list))) - 1) < 1e-12));
});

test('the order of two observations does not matter', () => {
  fc.assert(
    fc.property(belief, likelihoods, likelihoods, (prior, a, b) => {
      const ab = update(update(prior, at(a)), at(b));
      const ba = update(update(prior, at(b)), at(a));
      return Object.keys(prior).every((id) => Math.abs((ab[id] ?? 0) - (ba[id] ?? 0)) < 1e-9);
    }),
  );
});

test('no single observation rules a hypothesis out for good', () => {
  const after = update({ a: 0.5, b: 0.5 }, (id) => (id === 'a' ? 0 : 1));
  expect(after.a).toBeGreaterThan(0);
});

test('information is never negative and never more than the doubt there is', () => {
  fc.assert(
    fc.property(belief, likelihoods, (prior, list) => {
      const yes = at(list);
      const { bits } = expectedInformation(prior, [
        { result: 'yes', likelihood: yes },
        { result: 'no', likelihood: (id) => 1 - yes(id) },
      ]);
      return bits >= 0 && bits <= entropyBits(prior) + 1e-9;
    }),
  );
});

test('a look that tells two equal suspects apart for sure is worth one bit', () => {
  const outcomes = [
    { result: 'yes', likelihood: (id: string) => (id === 'a' ? 1 : 0) },
    { result: 'no', likelihood: (id: string) => (id === 'a' ? 0 : 1) },
  ];
  expect(expectedInformation({ a: 0.5, b: 0.5 }, outcomes).bits).toBeCloseTo(1, 2);
});

test('weights without anything to share out are a mistake of the caller', () => {
  expect(() => normalise({ a: 0, b: 0 })).toThrow(RangeError);
});

test('the normal distribution agrees with its table', () => {
  // Φ(1.96) = 0.9750, P(|Z| < 1) = 0.6827: any table of the standard normal.
  expect(normalBelow(1.96, 0, 1)).toBeCloseTo(0.975, 4);
  expect(normalWithin(0, 1, 0, 1)).toBeCloseTo(0.6827, 4);
});

test('sums on paper: a prior of 3 to 1, seen with chances 0.2 and 0.9', () => {
  const prior = normalise({ a: 3, b: 1 });
  const likelihood = (id: string) => (id === 'a' ? 0.2 : 0.9);
  expect(prior).toEqual({ a: 0.75, b: 0.25 });
  expect(predictive(prior, likelihood)).toBeCloseTo(0.75 * 0.2 + 0.25 * 0.9, 12);
  expect(update(prior, likelihood)).toEqual({
    a: expect.closeTo(0.15 / 0.375, 12) as number,
    b: expect.closeTo(0.225 / 0.375, 12) as number,
  });
  // What is seen least likely still counts a ten-thousandth.
  expect(update({ a: 0.5, b: 0.5 }, (id) => (id === 'a' ? 0 : 1)).a).toBeCloseTo(1e-4 / 1.0001, 12);
  expect(predictive({ a: 1 }, () => 0)).toBe(1e-4);
  expect(() => normalise({ a: Infinity })).toThrow('weights must have a positive, finite sum');
});

test('entropy of a few beliefs, in bits', () => {
  expect(entropyBits({ a: 1, b: 0 })).toBe(0);
  expect(entropyBits({ a: 0.25, b: 0.25, c: 0.25, d: 0.25 })).toBeCloseTo(2, 12);
  expect(entropyBits({ a: 0.9, b: 0.1 })).toBeCloseTo(0.4689955935892812, 12);
});

test('mutual information of a binary channel that errs once in ten is 1 − H(0.1), and outcomes are shared out', () => {
  const outcomes = (scale: number) => [
    { result: 'yes', likelihood: (id: string) => scale * (id === 'a' ? 0.9 : 0.1) },
    { result: 'no', likelihood: (id: string) => scale * (id === 'a' ? 0.1 : 0.9) },
  ];
  const { bits, results } = expectedInformation({ a: 0.5, b: 0.5 }, outcomes(1));
  expect(bits).toBeCloseTo(1 - 0.4689955935892812, 9);
  expect(results).toEqual([
    { result: 'yes', probability: 0.5 },
    { result: 'no', probability: 0.5 },
  ]);
  const uneven = expectedInformation({ a: 0.8, b: 0.2 }, outcomes(0.5));
  expect(uneven.results[0]?.probability).toBeCloseTo(0.8 * 0.9 + 0.2 * 0.1, 12);
  expect(uneven.bits).toBeCloseTo(entropyBits({ a: 0.74, b: 0.26 }) - 0.4689955935892812, 9);
});

test('density, distribution and error function at tabled places', () => {
  // φ(0), φ(1) and Φ of any table; erf(0.5) and erf(1) of Abramowitz & Stegun, table 7.1.
  expect(normalDensity(0, 0, 1)).toBeCloseTo(0.3989423, 7);
  expect(normalDensity(3, 2, 1)).toBeCloseTo(0.2419707, 7);
  expect(normalDensity(10, 10, 0.5)).toBeCloseTo(2 * 0.3989423, 6);
  expect([0.5, 1, -1].map((x) => erf(x))).toEqual([0.5204999, 0.8427008, -0.8427008].map((each) => expect.closeTo(each, 6) as number));
  expect([normalBelow(-1, 0, 1), normalBelow(7, 5, 2), normalBelow(5, 5, 9)]).toEqual(
    [0.158655, 0.841345, 0.5].map((each) => expect.closeTo(each, 5) as number),
  );
  expect(normalWithin(10, 0.5, 10.5, 0.25)).toBeCloseTo(0.4999683, 5);
});
