import { brokenTextAt, CoreFailure, failureFromZod } from '@patient-badger/core';
import { entryBatch } from '@patient-badger/contract';
import type { FastifySchemaCompiler } from 'fastify';
import type { ZodType } from 'zod';

/**
 * Checks what comes in with Zod, and words a refusal as the core does: code, dotted path, sentence. A text
 * that the database cannot keep is refused here, for every route; entries are looked at one by one instead,
 * so that a bad one takes none of the others with it.
 */
export const validatorCompiler: FastifySchemaCompiler<ZodType> =
  ({ schema }) =>
  (data: unknown) => {
    const broken = schema === (entryBatch as ZodType) ? null : brokenTextAt(data);
    if (broken !== null) return { error: new CoreFailure({ code: 'invalid', path: broken, detail: { reason: 'textBroken' } }) };
    const parsed = schema.safeParse(data);
    return parsed.success ? { value: parsed.data } : { error: failureFromZod(parsed.error, data) };
  };
