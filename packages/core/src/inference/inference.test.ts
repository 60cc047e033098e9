import fc from 'fast-check';
import { normalise, update, type Belief } from './belief.ts';
import { entropyBits } from './entropy.ts';
import { expectedInformation } from './expectedInformation.ts';
import { normalBelow, normalWithin } from './normal.ts';

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
