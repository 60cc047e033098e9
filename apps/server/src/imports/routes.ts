import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { importQuery, importState, uploadState } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { takeStream } from '../plugins/bytes.ts';
import { ServerProblem } from '../problems.ts';
import { needActor } from '../people/actor.ts';
import { createUploads, MOST_BYTES } from './uploads.ts';
import { beginImport, cancelImport, importStateOf } from './imports.ts';

/** Lists of parts brought in: sent, begun, asked after, stopped. */
export const importRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const uploads = createUploads();
  app.addHook('onClose', () => uploads.close());
  await app.register(async (scope) => {
    takeStream(scope, MOST_BYTES);
    scope.post(
      '/api/imports',
      { bodyLimit: MOST_BYTES, schema: { querystring: importQuery, response: { 202: importState } } },
      async (request, reply) => {
        const { shopId, personId } = needActor(request);
        const { duplicates, upload } = request.query as z.output<typeof importQuery>;
        const id = upload ?? randomUUID();
        if (upload === undefined) {
          try {
            await uploads.receive({ shopId, id, from: 0, body: request.body as Readable });
          } catch (error) {
            await uploads.forget(shopId, id);
            throw error;
          }
        }
        const size = await uploads.size(shopId, id);
        const file = uploads.take(shopId, id);
        if (file === null || size === 0) throw new ServerProblem('invalidInput', { path: 'upload' });
        return reply.status(202).send(await beginImport(dataSource, { shopId, by: personId, file, duplicates }));
      },
    );

    // In pieces, over a line that is cut: each follows what has come, and how much that is can be asked.
    const piece = { params: z.object({ id: z.uuid() }), response: { 200: uploadState } };
    scope.post(
      '/api/uploads/:id',
      { bodyLimit: MOST_BYTES, schema: { ...piece, querystring: z.object({ from: z.coerce.number().int().min(0).max(MOST_BYTES) }) } },
      async (request) => {
        const { shopId } = needActor(request);
        const { id } = request.params as { id: string };
        const { from } = request.query as { from: number };
        return { size: await uploads.receive({ shopId, id, from, body: request.body as Readable }) };
      },
    );
    scope.get('/api/uploads/:id', { schema: piece }, async (request) => ({
      size: await uploads.size(needActor(request).shopId, (request.params as { id: string }).id),
    }));
  });
  const byId = z.object({ id: z.uuid() });
  app.get('/api/imports/:id', { schema: { params: byId, response: { 200: importState } } }, async (request) =>
    importStateOf(dataSource, request.shopId, request.params.id),
  );
  app.post('/api/imports/:id/cancel', { schema: { params: byId, response: { 200: importState } } }, async (request) =>
    cancelImport(dataSource, needActor(request).shopId, request.params.id),
  );
};
