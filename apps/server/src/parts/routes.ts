import { Readable } from 'node:stream';
import { part, partChange, partChanged, partList, partMatch, partPage, partSearch, refusals, type Part } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { partsAsCsv, partsAsJson } from './writeParts.ts';
import { changeParts, listParts } from './partList.ts';
import { refusalsOf } from './refusals.ts';
import { searchParts } from './search.ts';
import { partsWithDetails } from './partDetails.ts';
import { needActor } from '../people/actor.ts';
import { ServerProblem } from '../problems.ts';
import { parts, type PartRow } from './entities.ts';

export const partRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const withDetails = (rows: readonly PartRow[]) => partsWithDetails(dataSource.manager, rows);
  app.get('/api/parts/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: part } } }, async (request) => {
    const row = await dataSource.getRepository(parts).findOneBy({ id: request.params.id, shopId: request.shopId });
    if (!row) throw new ServerProblem('notFound');
    return withDetails([row]).then(([found]) => found as Part);
  });

  app.get(
    '/api/parts/refusals',
    { schema: { querystring: z.object({ partNumber: z.string().min(1).max(80) }), response: { 200: refusals } } },
    async (request) => [...(await refusalsOf(dataSource, request.shopId, [request.query.partNumber]))],
  );

  const format = z.object({ format: z.enum(['csv', 'json']) });
  app.get('/api/parts/export', { schema: { querystring: format, hide: true } }, async (request, reply) => {
    const csv = request.query.format === 'csv';
    const text = csv ? partsAsCsv(dataSource, request.shopId) : partsAsJson(dataSource, request.shopId);
    return reply
      .type(csv ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8')
      .header('content-disposition', `attachment; filename="parts.${request.query.format}"`)
      .send(Readable.from(text));
  });

  app.get('/api/parts', { schema: { querystring: partList, response: { 200: partPage } } }, async (request) => [
    ...(await withDetails(await listParts(dataSource, request.shopId, request.query))),
  ]);

  app.post('/api/parts/change', { schema: { body: partChange, response: { 200: partChanged } } }, async (request) => ({
    changed: await changeParts(dataSource, needActor(request), request.body),
  }));

  app.post('/api/parts/search', { schema: { body: partSearch, response: { 200: z.array(partMatch) } } }, async (request) => {
    const shopId = request.shopId;
    const found = await searchParts(dataSource.manager, { ...request.body, shopId });
    const rows = found.map(({ row }) => row);
    const answered = await partsWithDetails(dataSource.manager, rows, new Map(found.map(({ row, listings }) => [row.id, listings])));
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
