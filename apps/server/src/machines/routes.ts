import {
  machine,
  machineChange,
  machineDraft,
  machineMerge,
  machinePage,
  machineQuery,
  meterReading,
  MOST_MACHINES,
} from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { ServerProblem } from '../problems.ts';
import { needActor } from '../people/actor.ts';
import { machineModels, machines, type MachineRow, type ModelRow } from './entities.ts';
import { changeMachine, mergeMachines } from './changes.ts';
import { findMachines } from './findMachines.ts';
import { packOf } from './packs.ts';

/** The machine models that the shop knows, and the machines on record. */
export const machineRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const modelsOf = (shopId: string) => dataSource.getRepository(machineModels).findBy({ shopId });

  app.get('/api/machines', { schema: { querystring: machineQuery, response: { 200: machinePage } } }, async (request) => {
    const { shopId, query } = request;
    const [rows, models] = await Promise.all([findMachines(dataSource, shopId, { ...query, most: MOST_MACHINES + 1 }), modelsOf(shopId)]);
    return { machines: rows.slice(0, MOST_MACHINES).map((row) => withModel(row, models)), more: rows.length > MOST_MACHINES };
  });

  app.get('/api/machines/counts', { schema: { response: { 200: z.record(z.string(), z.int()) } } }, async (request) => {
    const rows = await dataSource.query<{ family: string; count: string }[]>(
      'SELECT family, count(*) AS count FROM machines WHERE shop_id = $1 AND retired_at IS NULL GROUP BY family',
      [request.shopId],
    );
    return Object.fromEntries(rows.map(({ family, count }) => [family, Number(count)]));
  });

  const params = z.object({ id: z.uuid() });
  app.get('/api/machines/:id', { schema: { params, response: { 200: machine } } }, async (request) => {
    const row = await dataSource.getRepository(machines).findOneBy({ id: request.params.id, shopId: request.shopId });
    if (!row) throw new ServerProblem('notFound');
    return withModel(row, await modelsOf(request.shopId));
  });

  app.post('/api/machines', { schema: { body: machineDraft, response: { 200: machine } } }, async (request) => {
    const { shopId } = needActor(request);
    const draft = request.body;
    if (!(await packOf(dataSource.manager, shopId, draft.family))) throw new ServerProblem('unknownFamily', { path: 'family' });
    const models = await modelsOf(shopId);
    if (draft.modelId && !models.some(({ id }) => id === draft.modelId)) throw new ServerProblem('unknownModel', { path: 'modelId' });
    await dataSource
      .createQueryBuilder()
      .insert()
      .into(machines)
      .values({ ...draft, shopId })
      .orIgnore()
      .execute();
    const row = await dataSource.getRepository(machines).findOneBy({ id: draft.id, shopId });
    // The id stands for a machine of another shop: nothing of it is told.
    if (!row) throw new ServerProblem('invalidInput', { path: 'id' });
    return withModel(row, models);
  });

  const byId = { params, response: { 200: machine } };
  const answer = async (shopId: string, id: string) => {
    const row = await dataSource.getRepository(machines).findOneBy({ id, shopId });
    if (!row) throw new ServerProblem('notFound');
    return withModel(row, await modelsOf(shopId));
  };

  app.post('/api/machines/:id/change', { schema: { ...byId, body: machineChange } }, async (request) => {
    const { shopId, personId } = needActor(request);
    await changeMachine(dataSource, { shopId, by: personId, id: request.params.id }, request.body);
    return answer(shopId, request.params.id);
  });

  app.post('/api/machines/:id/merge', { schema: { ...byId, body: machineMerge } }, async (request) => {
    const { shopId, personId } = needActor(request);
    await mergeMachines(dataSource, { shopId, by: personId, id: request.params.id }, request.body.into);
    return answer(shopId, request.body.into);
  });

  app.post('/api/machines/:id/meter', { schema: { ...byId, body: meterReading } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { id } = request.params;
    const found = await answer(shopId, id);
    await dataSource.query(
      `INSERT INTO meter_readings (id, shop_id, machine_id, "on", hours, km, "by") VALUES ($1, $2, $3, $4, $5, $6, $7) ON CONFLICT (id) DO NOTHING`,
      [request.body.id, shopId, id, request.body.on, request.body.hours, request.body.km, personId],
    );
    return found;
  });
};

function withModel({ shopId: _, truth, retiredAt, ...row }: MachineRow, models: readonly ModelRow[]) {
  const model = models.find(({ id }) => id === row.modelId);
  return { ...row, modelName: model ? `${model.maker} ${model.code}` : null, instruments: truth !== null, retired: retiredAt !== null };
}
