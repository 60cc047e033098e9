import { sampleParts } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { writeAudit } from '../people/audit.ts';
import { needOwner } from '../people/actor.ts';
import { demoParts } from './parts.ts';

/** Of the made-up parts those that no job names: what was worked with stays. */
const UNUSED = `FROM parts p WHERE p.shop_id = $1 AND p.id = ANY($2::uuid[])
  AND NOT EXISTS (SELECT 1 FROM entries e WHERE e.shop_id = $1 AND e.payload->>'partId' = p.id::text)`;

/** The made-up parts that a shop laid in at its first visit: how many there are, and out with them. */
export const sampleRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const values = (shopId: string) => [shopId, demoParts(shopId).map(({ id }) => id)];

  app.get('/api/sample-parts', { schema: { response: { 200: sampleParts } } }, async (request) => {
    const [row] = await dataSource.query<{ count: string }[]>(`SELECT count(*) ${UNUSED}`, values(request.shopId));
    return { count: Number(row?.count ?? 0) };
  });

  app.post('/api/sample-parts/remove', { schema: { response: { 200: sampleParts } } }, async (request) => {
    const { shopId, personId } = needOwner(request);
    return dataSource.transaction(async (manager) => {
      const [, count] = await manager.query<[unknown, number]>(`DELETE ${UNUSED}`, values(shopId));
      await writeAudit(manager, { shopId, by: personId, what: 'partsChanged', about: `${count} made-up parts taken out` });
      return { count };
    });
  });
};
