import { z } from 'zod';
import { fail, type FailureData } from './CoreFailure.ts';
import { failureFromZod } from './fromZod.ts';

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
});

test('a failure is an error whose message names code and path', () => {
  expect(fail('missing', 'teeth').message).toBe('missing at teeth');
  expect(fail('invalid', '').message).toBe('invalid at (input)');
});
