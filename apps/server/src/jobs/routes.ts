import type { FastifyReply } from 'fastify';
import { entryBatch, entryReceipt, job, jobPage, jobQuery, machineHistory } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { ServerProblem } from '../problems.ts';
import { needActor } from '../people/actor.ts';
import { toEntry } from './commit.ts';
import { entries, jobs } from './entities.ts';
import { historyOf } from './history.ts';
import { dueCalendar, followUpCalendar } from './calendar.ts';
import { createMoves } from './moves.ts';
import { jobRows } from './rows.ts';
import { createEntryStore } from './store.ts';

/** Pages of jobs as rows, one job with its entries, and new entries in. */
export const jobRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const moves = createMoves(dataSource, (error) => app.log.warn({ error }, 'a next move could not be worked out'));
  const store = createEntryStore(dataSource, moves.want);
  app.addHook('onClose', () => moves.close());

  app.get('/api/jobs', { schema: { querystring: jobQuery, response: { 200: jobPage } } }, async (request) => {
    const page = await jobRows(dataSource, request.shopId, request.query);
    moves.want(page.rows.flatMap(({ id, move, closedAt }) => (move || closedAt ? [] : [id])));
    return page;
  });

  app.get('/api/jobs/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: job } } }, async (request) => {
    const row = await dataSource.getRepository(jobs).findOneBy({ id: request.params.id, shopId: request.shopId });
    if (!row) throw new ServerProblem('unknownJob');
    const list = await dataSource.getRepository(entries).find({ where: { jobId: row.id }, order: { seq: 'ASC' } });
    return { id: row.id, machineId: row.machineId, family: row.family, safetyCritical: row.safetyCritical, entries: list.map(toEntry) };
  });

  const sendCalendar = async (reply: FastifyReply, text: string) =>
    reply.type('text/calendar; charset=utf-8').header('content-disposition', 'attachment; filename="follow-ups.ics"').send(text);
  app.get('/api/jobs/:id/follow-ups.ics', { schema: { hide: true, params: z.object({ id: z.uuid() }) } }, async (request, reply) =>
    sendCalendar(reply, await followUpCalendar(dataSource, request.shopId, request.params.id)),
  );
  app.get('/api/machines/:id/due.ics', { schema: { hide: true, params: z.object({ id: z.uuid() }) } }, async (request, reply) =>
    sendCalendar(reply, await dueCalendar(dataSource, request.shopId, request.params.id)),
  );
  app.get('/api/follow-ups.ics', { schema: { hide: true } }, async (request, reply) =>
    sendCalendar(reply, await followUpCalendar(dataSource, request.shopId, null)),
  );

  const machine = z.object({ id: z.uuid() });
  app.get('/api/machines/:id/history', { schema: { params: machine, response: { 200: machineHistory } } }, async (request) =>
    historyOf(dataSource, request.shopId, request.params.id),
  );

  // Receipts are made here and checked by no second schema: this is the road that every note takes.
  const post = { schema: { body: entryBatch, response: { 200: z.array(entryReceipt) } }, serializerCompiler: () => JSON.stringify };
  app.post('/api/entries', post, async (request) => store.store(needActor(request), request.body));
};
