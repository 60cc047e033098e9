import { shelfDraft, shelfGone, shelfItem, type ShelfItem } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { IS_ACTIVE } from '../jobs/activeEntries.ts';
import { needActor } from '../people/actor.ts';
import { writeAudit } from '../people/audit.ts';
import { ServerProblem } from '../problems.ts';
import { machines } from '../machines/entities.ts';
import { shelf, type ShelfRow } from './entities.ts';

/** Used gears kept for their teeth. Whether one was used is read off the jobs, never kept twice. */
export const shelfRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const repository = dataSource.getRepository(shelf);

  app.get('/api/shelf', { schema: { response: { 200: z.array(shelfItem) } } }, async (request) => {
    const rows = await repository.find({ where: { shopId: request.shopId }, order: { addedAt: 'DESC' } });
    return withDetails(dataSource, request.shopId, rows);
  });

  app.post('/api/shelf', { schema: { body: shelfDraft, response: { 200: shelfItem } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { machineId } = request.body;
    if (machineId && !(await dataSource.getRepository(machines).existsBy({ id: machineId, shopId })))
      throw new ServerProblem('unknownMachine', { path: 'machineId' });
    const row = { ...request.body, shopId, by: personId, addedAt: new Date(), gone: null };
    await dataSource.transaction(async (manager) => {
      // What a device sends twice is there once, and written down once.
      const { raw } = await manager.createQueryBuilder().insert().into(shelf).values(row).orIgnore().returning('id').execute();
      if ((raw as unknown[]).length === 0) return;
      await writeAudit(manager, { shopId, by: personId, what: 'shelfAdded', about: row.name, after: { place: row.place } });
    });
    return answer(dataSource, shopId, request.body.id);
  });

  const params = z.object({ id: z.uuid() });
  app.post('/api/shelf/:id/gone', { schema: { params, body: shelfGone, response: { 200: shelfItem } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { why } = request.body;
    await dataSource.transaction(async (manager) => {
      const before = await manager.findOneBy(shelf, { id: request.params.id, shopId });
      if (!before || before.gone === why) return;
      await manager.update(shelf, { id: before.id }, { gone: why });
      await writeAudit(manager, {
        shopId,
        by: personId,
        what: 'shelfChanged',
        about: before.name,
        before: { gone: before.gone },
        after: { gone: why },
      });
    });
    return answer(dataSource, shopId, request.params.id);
  });
};

async function answer(dataSource: DataSource, shopId: string, id: string): Promise<ShelfItem> {
  const [found] = await withDetails(dataSource, shopId, await dataSource.getRepository(shelf).findBy({ id, shopId }));
  if (!found) throw new ServerProblem('notFound');
  return found;
}

async function withDetails(dataSource: DataSource, ofShop: string, rows: readonly ShelfRow[]): Promise<ShelfItem[]> {
  const used = await dataSource.query<{ id: string; job: string }[]>(
    `SELECT e.payload->>'partId' AS id, e.job_id AS job FROM entries e
     WHERE e.payload->>'kind' = 'partFitted' AND e.payload->>'partId' = ANY($1) AND e.shop_id = $2
       AND ${IS_ACTIVE}`,
    [rows.map(({ id }) => id), ofShop],
  );
  return rows.map(({ shopId: _, addedAt, ...row }) => ({
    ...row,
    addedAt: addedAt.toISOString(),
    usedIn: used.find(({ id }) => id === row.id)?.job ?? null,
  }));
}
