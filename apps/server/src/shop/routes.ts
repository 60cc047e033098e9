import { shop } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';

import { ServerProblem } from '../problems.ts';
import { people, shops } from './entities.ts';

/** The shop and its people. */
export const shopRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/shop', { schema: { response: { 200: shop } } }, async (request) => {
    const id = request.shopId;
    const [found, staff] = await Promise.all([
      dataSource.getRepository(shops).findOneBy({ id }),
      dataSource.getRepository(people).find({ where: { shopId: id }, order: { name: 'ASC' } }),
    ]);
    if (!found) throw new ServerProblem('notFound');
    return { ...found, people: staff.map(({ id, name, role }) => ({ id, name, role })) };
  });
};
