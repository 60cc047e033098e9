import { meterReading, personDraft, shopSettings } from '@patient-badger/contract';
import type { z } from 'zod';
import { schemaProblem, schemaResolver } from './schemaProblems.ts';

const problemOf = (schema: z.ZodType, typed: unknown): string => {
  const parsed = schema.safeParse(typed);
  return parsed.success ? '' : schemaProblem(parsed.error, typed);
};
const shop = { name: 'Yard', currency: 'EUR', lengthUnit: 'mm', distanceUnit: 'km', torqueUnit: 'N·m', rateMinor: 6000 };

// No code and no word of the schema library is ever put before a person.
test.each([
  [personDraft, { name: ' ', role: 'mechanic', passphrase: 'a few words of their own' }, 'Give a name.'],
  [
    personDraft,
    { name: 'x'.repeat(61), role: 'mechanic', passphrase: 'a few words of their own' },
    'The name must not be longer than 60 signs.',
  ],
  [personDraft, { name: 'Tobin', role: 'mechanic', passphrase: 'short' }, /^A passphrase has at least 12 letters/],
  [shopSettings, { ...shop, currency: 'Taler' }, 'A currency is three letters, such as EUR.'],
  [shopSettings, { ...shop, rateMinor: -1 }, 'The rate must lie at or above 0. You gave -1.'],
  [meterReading, { id: '0197a000-0000-7000-8000-000000000001', on: '2026-05-04', hours: NaN, km: null }, /^A meter shows a figure/],
])('%# in a sentence', (schema, typed, sentence) => expect(problemOf(schema, typed)).toMatch(sentence));

test('a form has the sentence at its field', async () => {
  const options = { fields: {}, shouldUseNativeValidation: false };
  const found = await schemaResolver(shopSettings)({ ...shop, name: ' ' } as never, undefined, options);
  expect(found.errors).toMatchObject({ name: { message: 'Give the shop a name.' } });
  expect((await schemaResolver(shopSettings)(shop as never, undefined, options)).errors).toEqual({});
});
