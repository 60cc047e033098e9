import { importQuery, importState } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { takeBytes } from '../plugins/bytes.ts';
import { ServerProblem } from '../problems.ts';
import { needActor } from '../people/actor.ts';
import { beginImport, cancelImport, importStateOf } from './imports.ts';

/** A list of 100,000 parts and some. */
const MAX_BYTES = 64 * 1024 * 1024;

/** Lists of parts brought in: begun, asked after, stopped. */
export const importRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  await app.register(async (scope) => {
    takeBytes(scope, MAX_BYTES);
    scope.post(
      '/api/imports',
      { bodyLimit: MAX_BYTES, schema: { querystring: importQuery, response: { 202: importState } } },
      async (request, reply) => {
        const { shopId, personId } = needActor(request);
        const bytes = request.body;
        if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new ServerProblem('invalidInput');
        const { duplicates } = request.query as z.output<typeof importQuery>;
        return reply.status(202).send(await beginImport(dataSource, { shopId, by: personId, bytes, duplicates }));
      },
    );
  });
  const byId = z.object({ id: z.uuid() });
  app.get('/api/imports/:id', { schema: { params: byId, response: { 200: importState } } }, async (request) =>
    importStateOf(dataSource, request.shopId, request.params.id),
  );
  app.post('/api/imports/:id/cancel', { schema: { params: byId, response: { 200: importState } } }, async (request) =>
    cancelImport(dataSource, needActor(request).shopId, request.params.id),
  );
};
