import { operations } from '@patient-badger/knowledge';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';

/** The core's operations over HTTP, each in the OpenAPI document with its own input and output. */
export const operationRoutes: FastifyPluginAsyncZod = async (app) => {
  for (const { name, summary, input, output } of operations.list) {
    // The operation checks its own input, so that all four doors word a refusal alike.
    app.post(
      `/api/operations/${name}`,
      { schema: { summary, body: input, response: { 200: output } }, validatorCompiler: () => (value) => ({ value }) },
      async (request) => operations.run(name, request.body),
    );
  }
  app.post('/api/operations/:name', { schema: { hide: true } }, async (request) =>
    operations.run((request.params as { name: string }).name, request.body),
  );
};
