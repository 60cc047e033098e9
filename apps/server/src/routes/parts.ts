import {
  importReceipt,
  part,
  partChange,
  partChanged,
  partImport,
  partList,
  partPage,
  partMatch,
  partSearch,
  refusals,
  type Part,
} from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { entries, parts, type PartRow } from '../entities/index.ts';
import { importParts } from '../parts/importParts.ts';
import { changeParts, listParts } from '../parts/list.ts';
import { searchParts } from '../parts/search.ts';
import { needActor, shopOf } from '../plugins/actor.ts';
import { ServerProblem } from '../problems.ts';

/** A list of 100,000 parts and some. */
const IMPORT_MOST_BYTES = 64 * 1024 * 1024;

export const partRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/parts/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: part } } }, async (request) => {
    const row = await dataSource.getRepository(parts).findOneBy({ id: request.params.id, shopId: shopOf(request) });
    if (!row) throw new ServerProblem('notFound');
    return toPart(row);
  });

  app.get(
    '/api/parts/refusals',
    { schema: { querystring: z.object({ partNumber: z.string().min(1).max(80) }), response: { 200: refusals } } },
    async (request) => {
      const rows = await dataSource
        .getRepository(entries)
        .createQueryBuilder('e')
        .where('e.shopId = :shopId', { shopId: shopOf(request) })
        .andWhere("e.payload->>'kind' = 'partRefused' AND e.payload->>'partNumber' = :partNumber", request.query)
        .andWhere(
          `NOT EXISTS (SELECT 1 FROM entries w WHERE w.shop_id = e.shop_id AND w.job_id = e.job_id
             AND w.payload->>'kind' = 'withdrawn' AND w.payload->>'entry' = e.id::text)`,
        )
        .orderBy('e.at', 'DESC')
        .limit(20)
        .getMany();
      return rows.flatMap(({ jobId, at, by, payload }) =>
        payload.kind === 'partRefused' ? [{ jobId, at: at.toISOString(), by, deciding: payload.deciding, note: payload.note }] : [],
      );
    },
  );

  app.post(
    '/api/parts/import',
    { bodyLimit: IMPORT_MOST_BYTES, schema: { body: partImport, response: { 200: importReceipt } } },
    async (request) => importParts(dataSource, needActor(request).shopId, request.body),
  );

  app.get('/api/parts', { schema: { querystring: partList, response: { 200: partPage } } }, async (request) =>
    (await listParts(dataSource, shopOf(request), request.query)).map(toPart),
  );

  app.post('/api/parts/change', { schema: { body: partChange, response: { 200: partChanged } } }, async (request) => ({
    changed: await changeParts(dataSource, needActor(request).shopId, request.body),
  }));

  app.post('/api/parts/search', { schema: { body: partSearch, response: { 200: z.array(partMatch) } } }, async (request) => {
    const { wanted, machineModel, most } = request.body;
    const found = await searchParts(dataSource.manager, { shopId: shopOf(request), wanted, machineModel, most });
    return found.map(({ row, fit }) => ({ part: toPart(row), fit }));
  });
};

const toPart = ({ shopId: _, type: __, moduleMm: ___, ...row }: PartRow): Part => row;
