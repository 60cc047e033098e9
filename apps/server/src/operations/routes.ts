import { OPERATION_SUMMARIES } from '@patient-badger/wording/operations';
import { CoreFailure } from '@patient-badger/core';
import { fileOutput } from '@patient-badger/core/gear';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { ServerProblem } from '../problems.ts';
import { createPool, PoolBusy, PoolLate } from '../threads/pool.ts';
import { MADE, madeFor, madeInJob } from './made.ts';
import type { OperationTask, OperationReply } from './onThread.ts';
import { operations } from './operations.ts';

/** A sum that takes longer is one that nobody waits for. */
const LIMITS = { threads: 2, queue: 20, deadlineMs: 5_000 };

/** The core's operations over HTTP, each in the OpenAPI document with its own input and output. */
export const operationRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const pool = createPool<OperationTask, OperationReply>(new URL('./onThread.ts', import.meta.url), LIMITS);
  app.addHook('onListen', async () => pool.warm());
  app.addHook('onClose', () => pool.close());
  const heavy = new Set<string>(operations.list.filter((each) => each.heavy).map(({ name }) => name));

  /** Worked out on a thread, as JSON; ended where whoever asked has hung up. */
  const onThread = async (asked: OperationTask, reply: FastifyReply): Promise<string> => {
    const gone = new AbortController();
    // Whoever has hung up does not keep a thread at work.
    reply.raw.once('close', () => gone.abort());
    const found = await pool.run(asked, gone.signal).catch((error: unknown): never => {
      if (error instanceof PoolBusy) throw new ServerProblem('operationBusy');
      if (error instanceof PoolLate) throw new ServerProblem('operationLate');
      throw error;
    });
    if (!found.ok) throw new CoreFailure(found.failure);
    return found.json;
  };
  const answer = async (given: string, request: FastifyRequest, reply: FastifyReply): Promise<unknown> => {
    const name = operations.nameNow(given);
    const input = MADE.has(name) ? await madeFor(dataSource, request.shopId, request.body) : request.body;
    if (!heavy.has(name)) return operations.runNamed(name, input);
    const json = await onThread({ name, input }, reply);
    return reply.type('application/json; charset=utf-8').serializer(String).send(json);
  };

  for (const { name, input, output } of operations.list) {
    // The operation checks its own input, so that all four doors word a refusal alike.
    app.post(
      `/api/operations/${name}`,
      {
        schema: { summary: OPERATION_SUMMARIES[name], body: input, response: { 200: output } },
        validatorCompiler: () => (value) => ({ value }),
      },
      (request, reply) => answer(name, request, reply) as never,
    );
  }
  // Within a job nobody says what a gear is for: the record knows.
  app.post(
    '/api/jobs/:id/make',
    { schema: { params: z.object({ id: z.uuid() }), body: z.unknown(), response: { 200: fileOutput } } },
    async (request, reply) => {
      const input = await madeInJob(dataSource, { shopId: request.shopId, jobId: request.params.id, body: request.body });
      const file = fileOutput.parse(JSON.parse(await onThread({ name: 'make.file', input }, reply)));
      return { ...file, name: file.name.replace(/^bench-only-/, '') };
    },
  );
  app.post('/api/operations/:name', { schema: { hide: true } }, (request, reply) =>
    answer((request.params as { name: string }).name, request, reply),
  );
};
