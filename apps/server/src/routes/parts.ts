import { Readable } from 'node:stream';
import {
  importQuery,
  importState,
  part,
  partChange,
  partChanged,
  partList,
  partMatch,
  partPage,
  partSearch,
  refusals,
  type Part,
} from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { parts, type PartRow } from '../entities/index.ts';
import { partsAsCsv, partsAsJson } from '../parts/writeParts.ts';
import { beginImport, cancelImport, importStateOf } from '../parts/imports.ts';
import { changeParts, listParts } from '../parts/list.ts';
import { refusalsOf } from '../parts/refusals.ts';
import { searchParts } from '../parts/search.ts';
import { wholeParts } from '../parts/whole.ts';
import { needActor, shopOf } from '../plugins/actor.ts';
import { takeBytes } from '../plugins/bytes.ts';
import { ServerProblem } from '../problems.ts';

/** A list of 100,000 parts and some. */
const IMPORT_MOST_BYTES = 64 * 1024 * 1024;

export const partRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const whole = (rows: readonly PartRow[]) => wholeParts(dataSource.manager, rows);
  app.get('/api/parts/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: part } } }, async (request) => {
    const row = await dataSource.getRepository(parts).findOneBy({ id: request.params.id, shopId: shopOf(request) });
    if (!row) throw new ServerProblem('notFound');
    return whole([row]).then(([found]) => found as Part);
  });

  app.get(
    '/api/parts/refusals',
    { schema: { querystring: z.object({ partNumber: z.string().min(1).max(80) }), response: { 200: refusals } } },
    async (request) => [...(await refusalsOf(dataSource, shopOf(request), [request.query.partNumber]))],
  );

  await app.register(async (scope) => {
    takeBytes(scope, IMPORT_MOST_BYTES);
    scope.post(
      '/api/imports',
      { bodyLimit: IMPORT_MOST_BYTES, schema: { querystring: importQuery, response: { 202: importState } } },
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
    importStateOf(dataSource, shopOf(request), request.params.id),
  );
  app.post('/api/imports/:id/cancel', { schema: { params: byId, response: { 200: importState } } }, async (request) =>
    cancelImport(dataSource, needActor(request).shopId, request.params.id),
  );

  const format = z.object({ format: z.enum(['csv', 'json']) });
  app.get('/api/parts/export', { schema: { querystring: format, hide: true } }, async (request, reply) => {
    const csv = request.query.format === 'csv';
    const text = csv ? partsAsCsv(dataSource, shopOf(request)) : partsAsJson(dataSource, shopOf(request));
    return reply
      .type(csv ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8')
      .header('content-disposition', `attachment; filename="parts.${request.query.format}"`)
      .send(Readable.from(text));
  });

  app.get('/api/parts', { schema: { querystring: partList, response: { 200: partPage } } }, async (request) => [
    ...(await whole(await listParts(dataSource, shopOf(request), request.query))),
  ]);

  app.post('/api/parts/change', { schema: { body: partChange, response: { 200: partChanged } } }, async (request) => ({
    changed: await changeParts(dataSource, needActor(request).shopId, request.body),
  }));

  app.post('/api/parts/search', { schema: { body: partSearch, response: { 200: z.array(partMatch) } } }, async (request) => {
    const shopId = shopOf(request);
    const found = await searchParts(dataSource.manager, { ...request.body, shopId });
    const rows = found.map(({ row }) => row);
    const answered = await wholeParts(dataSource.manager, rows, new Map(found.map(({ row, listings }) => [row.id, listings])));
    const refused = await refusalsOf(
      dataSource,
      shopId,
      rows.map(({ partNumber }) => partNumber),
    );
    return found.map(({ row, fit, claimedBy }, i) => ({
      part: answered[i] as Part,
      fit,
      claimedBy: [...claimedBy],
      refusedBefore: refused.filter(({ partNumber }) => partNumber === row.partNumber).length,
    }));
  });
};
