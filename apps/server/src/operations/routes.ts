import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { operations } from './operations.ts';

/** The core's operations over HTTP, each in the OpenAPI document with its own input and output. */
export const operationRoutes: FastifyPluginAsyncZod = async (app) => {
  for (const { name, summary, input, output } of operations.list) {
    // The operation checks its own input, so that all four doors word a refusal alike.
    app.post(
      `/api/operations/${name}`,
      {
        schema: { summary, body: input, response: { 200: output } },
        config: { shopless: true },
        validatorCompiler: () => (value) => ({ value }),
      },
      async (request) => operations.runNamed(name, request.body),
    );
  }
  app.post('/api/operations/:name', { schema: { hide: true }, config: { shopless: true } }, async (request) =>
    operations.runNamed((request.params as { name: string }).name, request.body),
  );
};
