import { z } from 'zod';
import { createOperations, FAILURE_REASONS, type FailureData, type FailureReason } from '@patient-badger/core';
import { failureSentence, rowSentence } from './failureSentence.ts';
import { fieldName } from './fieldName.ts';

test.each<[FailureData, string]>([
  [
    { code: 'outOfRange', path: 'leadAngleDeg', detail: { minimum: 0, maximum: 90, given: 120 } },
    'The lead angle must lie between 0 and 90. You gave 120.',
  ],
  [{ code: 'outOfRange', path: 'angle', detail: { maximum: 45 } }, 'The angle must lie at or below 45.'],
  [{ code: 'unknownId', path: 'faults.0.joint', detail: { given: 'z', known: 'a, b' } }, 'There is no joint called "z". Known: a, b.'],
  [{ code: 'duplicateId', path: 'bodies.1.id', detail: { given: 'drum' } }, '"drum" is used twice. Each needs a name of its own.'],
  [{ code: 'missing', path: 'look' }, 'The look is missing.'],
  [{ code: 'nothingGiven', path: 'measurements' }, 'Give at least one measurements.'],
  [{ code: 'contradiction', path: 'x' }, 'The x contradicts what else was given.'],
  [{ code: 'impossibleGeometry', path: 'wheelTeeth' }, 'No gear can be cut with this wheel teeth.'],
  [{ code: 'tooMany', path: 'driveline.joints', detail: { maximum: 64 } }, 'Of the joints no more than 64 can be given.'],
  [{ code: 'tooLong', path: 'claims.0', detail: { maximum: 120 } }, 'The claims must not be longer than 120 signs.'],
  [
    { code: 'wrongType', path: 'by', detail: { oneOf: 'pressFit, dFlat', given: 'x' } },
    'The by must be one of press fit, d flat. You gave "x".',
  ],
  [{ code: 'invalid', path: 'faceWidthMm' }, 'The face width cannot be used as given.'],
])('words %j', (failure, words) => expect(failureSentence(failure)).toBe(words));

test('a reading is named by what was read, not by its field', () => {
  expect(fieldName('measurements.tipDiameterMm.value')).toBe('diameter over the tips');
  expect(fieldName('measurements.tipDiameterMm.plusMinus')).toBe('± of the diameter over the tips');
  expect(fieldName('driveline.joints.2.teeth')).toBe('teeth');
  expect(fieldName('')).toBe('input');
});

const fieldsOf = (schema: unknown, names = new Set<string>()): ReadonlySet<string> => {
  if (schema === null || typeof schema !== 'object') return names;
  for (const [key, value] of Object.entries(schema)) {
    if (key === 'properties') for (const name of Object.keys(value as object)) names.add(name);
    fieldsOf(value, names);
  }
  return names;
};

test('no field of any operation is said by its inner name: no unit, no code', () => {
  const { list } = createOperations({ find: () => undefined, ids: () => [] });
  const names = new Set(list.flatMap(({ input }) => [...fieldsOf(z.toJSONSchema(input, { io: 'input', unrepresentable: 'any' }))]));
  expect(names.size).toBeGreaterThan(300);
  const inner = /\b(mm|mpa|nm|px|deg|rpm|minor|ms|rz|k|c|youngs|poisson)\b/;
  expect([...names].map((name) => [name, fieldName(name)]).filter(([, said]) => inner.test(said ?? ''))).toEqual([]);
});

test('a reason goes before the code, and takes its figures from the detail', () => {
  const failure = (reason: FailureReason, detail: object): FailureData => ({
    code: 'contradiction',
    path: 'x',
    detail: { reason, ...detail },
  });
  expect(failureSentence(failure('pitchAgainstModule', { diametralPitch: 24, module: 25.4 / 24, given: 1 }))).toBe(
    '24 DP is module 1.0583, not 1. Give one of the two.',
  );
  expect(failureSentence(failure('baseCirclesOverlap', { leastMm: 20.004 }))).toBe(
    'So close the base circles overlap: the shafts must stand more than 20.00 mm apart.',
  );
  expect(failureSentence(failure('threadsTooDeep', { field: 'diameterQuotient', module: 2, least: 2.5 }))).toMatch(
    /quotient must be more than 2\.5\.$/,
  );
});

test.each(FAILURE_REASONS)('%s is a sentence', (reason) => {
  expect(failureSentence({ code: 'invalid', path: 'x', detail: { reason } })).toMatch(/^["“A-Z].*\.$|^\w.*\.$/);
});

test('a row of a list says which', () => expect(rowSentence(3, { code: 'missing', path: 'teeth' })).toBe('Row 3: The teeth are missing.'));
