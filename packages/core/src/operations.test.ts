import { familyIds, findFamily } from '@patient-badger/knowledge';
import { runCases } from './cases.ts';
import { CoreFailure } from './failure/CoreFailure.ts';
import { createOperations } from './operations.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });

const refusal = (name: string, input: unknown): CoreFailure => {
  try {
    operations.runNamed(name, input);
  } catch (error) {
    if (error instanceof CoreFailure) return error;
    throw error;
  }
  throw new Error('no refusal');
};

const worm = { starts: 1, wheelTeeth: 40, axialModuleMm: 2, diameterQuotient: 10 };

test.each([
  [{ ...worm, starts: -1 }, 'starts', 'notPositive'],
  [{ ...worm, starts: 1.5 }, 'starts', 'notWhole'],
  [{ ...worm, axialModuleMm: 'two' }, 'axialModuleMm', 'wrongType'],
  [{ ...worm, axialModuleMm: NaN }, 'axialModuleMm', 'wrongType'],
  [{ ...worm, axialModuleMm: undefined }, 'axialModuleMm', 'missing'],
  [{ ...worm, modul: 2 }, 'modul', 'unknownField'],
  [{ starts: 1, wheelTeeth: 40, axialModuleMm: 2 }, 'wormPitchDiameterMm', 'missing'],
])('%j is refused at %s: %s', (input, path, code) => {
  const failure = refusal('gear.worm.dimensions', input);
  expect([failure.path, failure.code]).toEqual([path, code]);
});

test('an operation that is not there is refused by name', () => {
  expect(refusal('gear.square', {})).toMatchObject({ code: 'unknownId', path: 'op', detail: { given: 'gear.square' } });
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

test('an operation answers to the name under which it was published', () => {
  const input = { teeth: 40, measurements: { throatDiameterMm: { value: 84, plusMinus: 0.03 } } };
  expect(operations.runNamed('gear.wheel.identify', input)).toEqual(operations.runNamed('gear.wormWheel.identify', input));
  expect(operations.nameNow('gear.wheel.identify')).toBe('gear.wormWheel.identify');
  expect(operations.nameNow('toString')).toBe('toString');
});
