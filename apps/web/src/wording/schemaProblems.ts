import { failuresFromZod } from '@patient-badger/core';
import { failureSentence } from '@patient-badger/wording';
import { toNestErrors } from '@hookform/resolvers';
import type { FieldValues, Resolver } from 'react-hook-form';
import type { z } from 'zod';

/** What a schema refuses in what was typed, by its fields, in sentences. */
export const schemaProblems = (error: z.ZodError, typed: unknown): readonly { readonly path: string; readonly sentence: string }[] =>
  failuresFromZod(error, typed).map((failure) => ({ path: failure.path, sentence: failureSentence(failure) }));

/** The same in one text. */
export const schemaProblem = (error: z.ZodError, typed: unknown): string =>
  schemaProblems(error, typed)
    .map(({ sentence }) => sentence)
    .join(' ');

/** Checks a form by its schema; what is wrong stands at its field in a sentence. */
export const schemaResolver =
  <Typed extends FieldValues, Read extends FieldValues>(schema: z.ZodType<Read, Typed>): Resolver<Typed, unknown, Read> =>
  (typed, _context, options) => {
    const parsed = schema.safeParse(typed);
    if (parsed.success) return { values: parsed.data, errors: {} };
    const problems = schemaProblems(parsed.error, typed).map(
      ({ path, sentence }) => [path, { type: 'schema', message: sentence }] as const,
    );
    return {
      values: {},
      errors: toNestErrors<Typed>(Object.fromEntries(problems.toReversed()), options),
    };
  };
