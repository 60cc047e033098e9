import { z } from 'zod';
import { fail, type FailureData } from './CoreFailure.ts';
import { fieldName } from './fieldName.ts';
import { failureFromZod } from './fromZod.ts';
import { sentence } from './sentence.ts';

const schema = z.strictObject({
  teeth: z.int().positive(),
  angle: z.number().min(5).max(45).optional(),
  hand: z.enum(['right', 'left']).optional(),
  spans: z
    .array(z.strictObject({ spanMm: z.number().positive() }))
    .min(1)
    .optional(),
  bore: z.union([z.number(), z.strictObject({ value: z.number(), plusMinus: z.number() })]).optional(),
});

function refused(input: unknown): FailureData {
  const parsed = schema.safeParse(input);
  if (parsed.success) throw new Error('the schema took it');
  return failureFromZod(parsed.error, input);
}

test.each([
  [{}, 'missing', 'teeth'],
  [{ teeth: 'ten' }, 'wrongType', 'teeth'],
  [{ teeth: 0 }, 'notPositive', 'teeth'],
  [{ teeth: 9.5 }, 'notWhole', 'teeth'],
  [{ teeth: Infinity }, 'wrongType', 'teeth'],
  [{ teeth: 9, angle: 2 }, 'outOfRange', 'angle'],
  [{ teeth: 9, angle: 60 }, 'outOfRange', 'angle'],
  [{ teeth: 9, hand: 'middle' }, 'wrongType', 'hand'],
  [{ teeth: 9, spans: [] }, 'nothingGiven', 'spans'],
  [{ teeth: 9, spans: [{ spanMm: 3 }, { spanMm: -1 }] }, 'notPositive', 'spans.1.spanMm'],
  [{ teeth: 9, bore: { value: 'wide', plusMinus: 1 } }, 'wrongType', 'bore.value'],
  [{ teeth: 9, tooth: 9 }, 'unknownField', 'tooth'],
  [null, 'wrongType', ''],
])('%j is %s at "%s"', (input, code, path) => {
  const failure = refused(input);
  expect([failure.code, failure.path]).toEqual([code, path]);
  expect(sentence(failure)).toMatch(/^["A-Z].*\.$/);
});

test.each<[FailureData, string]>([
  [
    { code: 'outOfRange', path: 'leadAngleDeg', detail: { minimum: 0, maximum: 90, given: 120 } },
    'The lead angle must lie between 0 and 90. You gave 120.',
  ],
  [{ code: 'outOfRange', path: 'angle', detail: { maximum: 45 } }, 'The angle must lie at or below 45.'],
  [{ code: 'unknownId', path: 'faults.0.joint', detail: { given: 'z', known: 'a, b' } }, 'There is no joint called "z". Known: a, b.'],
  [{ code: 'duplicateId', path: 'bodies.1.id', detail: { given: 'drum' } }, '"drum" is used twice. Every id needs a name of its own.'],
  [{ code: 'missing', path: 'look' }, 'The look is missing.'],
  [{ code: 'nothingGiven', path: 'measurements' }, 'Give at least one measurements.'],
  [{ code: 'contradiction', path: 'x' }, 'The x contradicts what else was given.'],
  [{ code: 'impossibleGeometry', path: 'wheelTeeth' }, 'No gear can be cut with this wheel teeth.'],
  [{ code: 'invalid', path: 'faceWidthMm' }, 'The faceWidthMm cannot be used as given.'],
])('words %j', (failure, words) => expect(sentence(failure)).toBe(words));

test('a reading is named by what was read, not by its field', () => {
  expect(fieldName('measurements.tipDiameterMm.value')).toBe('diameter over the tips');
  expect(fieldName('measurements.tipDiameterMm.plusMinus')).toBe('± of the diameter over the tips');
  expect(fieldName('driveline.joints.2.teeth')).toBe('teeth');
  expect(fieldName('')).toBe('input');
});

test('a failure is an error whose message names code and path', () => {
  expect(fail('missing', 'teeth').message).toBe('missing at teeth');
  expect(fail('invalid', '').message).toBe('invalid at (input)');
});
