import { findFamily, operations } from '@patient-badger/knowledge';
import { runCases } from './cases.ts';
import { CoreFailure } from './failure/CoreFailure.ts';
import { sentence } from './failure/sentence.ts';

const refusal = (name: string, input: unknown): CoreFailure => {
  try {
    operations.run(name, input);
  } catch (error) {
    if (error instanceof CoreFailure) return error;
    throw error;
  }
  throw new Error('no refusal');
};

const worm = { starts: 1, wheelTeeth: 40, axialModuleMm: 2, diameterQuotient: 10 };

test.each([
  [{ ...worm, starts: -1 }, 'starts', 'The number of starts must be more than zero. You gave -1.'],
  [{ ...worm, starts: 1.5 }, 'starts', 'The number of starts must be a whole number. You gave 1.5.'],
  [{ ...worm, axialModuleMm: 'two' }, 'axialModuleMm', 'The axial module must be a number. You gave "two".'],
  [{ ...worm, axialModuleMm: NaN }, 'axialModuleMm', 'The axial module must be a number. You gave "NaN".'],
  [{ ...worm, axialModuleMm: undefined }, 'axialModuleMm', 'The axial module is missing.'],
  [{ ...worm, modul: 2 }, 'modul', '"modul" is not a field known here. Check the spelling.'],
  [{ starts: 1, wheelTeeth: 40, axialModuleMm: 2 }, 'wormPitchDiameterMm', 'Give the worm pitch diameter or the diameter quotient.'],
])('%j is refused in a mechanic’s words', (input, path, words) => {
  const failure = refusal('gear.worm.dimensions', input);
  expect([failure.path, sentence(failure)]).toEqual([path, words]);
});

test('an operation that is not there is refused by name', () => {
  expect(sentence(refusal('gear.square', {}))).toMatch(/gear\.square/);
});

test('a family may be handed in whole, and a broken one is refused with the path below it', () => {
  const pack = JSON.parse(JSON.stringify(findFamily('saw-oil-pump'))) as { looks: { at: string }[] };
  expect(operations.run('trace.next', { family: pack })).toMatchObject({ next: { look: 'oil-feel' } });
  (pack.looks[2] as { at: string }).at = 'nowhere';
  expect(refusal('trace.next', { family: pack }).path).toBe('family.looks.2.at');
});

describe('the case runner', () => {
  const run = (expectation: unknown, more: object = {}) =>
    runCases(operations, [{ op: 'gear.worm.dimensions', input: worm, expect: expectation, ...more }])[0];

  test('agrees within the tolerance and not beyond', () => {
    expect(run({ centreDistanceMm: 50 })?.passed).toBe(true);
    expect(run({ centreDistanceMm: 50.001 })?.passed).toBe(false);
    expect(run({ centreDistanceMm: 50.001 }, { tolerance: 1e-4 })?.passed).toBe(true);
    expect(run({ centreDistanceMm: 50.001 }, { absolute: 0.01 })?.passed).toBe(true);
  });

  test('names the path, what was expected and what came', () => {
    expect(run({ selfLocking: true, ratio: 40 })?.why).toBe('selfLocking: expected true, got false');
  });

  test('a missing field, an unexpected answer and an unexpected refusal all fail', () => {
    expect(run({ colour: 'red' })?.passed).toBe(false);
    expect(run({ error: 'starts' })?.passed).toBe(false);
    expect(runCases(operations, [{ op: 'gear.worm.dimensions', input: {}, expect: { ratio: 1 } }])[0]?.passed).toBe(false);
  });
});
