import { ownFamily } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { keepFamily } from './keep.ts';
import { needOwner } from '../people/actor.ts';
import { families } from '../machines/entities.ts';

/** Machine families of the shop's own; those that ship are in the app itself. */
export const familyRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/families', { schema: { response: { 200: z.array(ownFamily) } } }, async (request) =>
    dataSource.getRepository(families).find({ where: { shopId: request.shopId }, order: { id: 'ASC' } }),
  );

  app.post('/api/families', { schema: { body: z.unknown(), response: { 200: ownFamily } } }, async (request) =>
    keepFamily(dataSource, needOwner(request), request.body),
  );
};
