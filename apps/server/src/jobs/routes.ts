import type { ServerResponse } from 'node:http';
import { entryBatch, entryReceipt, job } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { jobsWithEntries, storeEntries } from './store.ts';
import { needActor } from '../shop/actor.ts';
import { ServerProblem } from '../problems.ts';
import { jobs } from './entities.ts';

const HEARTBEAT_MS = 15_000;

/** Jobs as lists of entries, new entries in, and a stream of what others wrote. */
export const jobRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const query = z.object({ state: z.enum(['open', 'closed']).default('open') });
  app.get('/api/jobs', { schema: { querystring: query, response: { 200: z.array(job) } } }, async (request) => {
    const rows = await dataSource.getRepository(jobs).findBy({ shopId: request.shopId, closed: request.query.state === 'closed' });
    return jobsWithEntries(dataSource, rows);
  });

  const machine = z.object({ id: z.uuid() });
  app.get('/api/machines/:id/jobs', { schema: { params: machine, response: { 200: z.array(job) } } }, async (request) => {
    const rows = await dataSource.getRepository(jobs).findBy({ shopId: request.shopId, machineId: request.params.id });
    return jobsWithEntries(dataSource, rows);
  });

  app.get('/api/jobs/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: job } } }, async (request) => {
    const row = await dataSource.getRepository(jobs).findOneBy({ id: request.params.id, shopId: request.shopId });
    const [found] = await jobsWithEntries(dataSource, row ? [row] : []);
    if (!found) throw new ServerProblem('unknownJob');
    return found;
  });

  app.post('/api/entries', { schema: { body: entryBatch, response: { 200: z.array(entryReceipt) } } }, async (request) =>
    storeEntries(dataSource, needActor(request).shopId, request.body),
  );

  const streams = new Set<ServerResponse>();
  app.addHook('preClose', async () => streams.forEach((stream) => stream.end()));
  app.get('/api/events', { schema: { hide: true }, config: { rateLimit: false } }, (request, reply) => {
    const { raw } = reply.hijack();
    raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', connection: 'keep-alive' });
    raw.write(': here\n\n');
    streams.add(raw);
    const stop = app.onEntry(request.shopId, (entry) => raw.write(`event: entry\ndata: ${JSON.stringify(entry)}\n\n`));
    const beat = setInterval(() => raw.write(': still here\n\n'), HEARTBEAT_MS);
    raw.on('close', () => {
      clearInterval(beat);
      streams.delete(raw);
      stop();
    });
  });
};
