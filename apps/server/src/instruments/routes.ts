import { instrumentAnswer, instrumentQuestion } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { readStandIn } from './standIn.ts';

/** The instruments on the bench. Those that ship are stand-ins, and only made-up machines can be put on them. */
export const instrumentRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.post('/api/instruments/read', { schema: { body: instrumentQuestion, response: { 200: instrumentAnswer } } }, async (request) =>
    readStandIn(dataSource, request.shopId, request.body),
  );
};
