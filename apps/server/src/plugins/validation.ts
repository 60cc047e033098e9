import { failureFromZod } from '@patient-badger/core';
import type { FastifySchemaCompiler } from 'fastify';
import type { ZodType } from 'zod';

/** Checks what comes in with Zod, and words a refusal as the core does: code, dotted path, sentence. */
export const validatorCompiler: FastifySchemaCompiler<ZodType> =
  ({ schema }) =>
  (data: unknown) => {
    const parsed = schema.safeParse(data);
    return parsed.success ? { value: parsed.data } : { error: failureFromZod(parsed.error, data) };
  };
