import { machine, machineDraft, machineModel } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { ServerProblem } from '../problems.ts';
import { needActor } from '../shop/actor.ts';
import { machineModels, machines, type MachineRow, type ModelRow } from './entities.ts';
import { packOf } from './packs.ts';

/** The machine models that the shop knows, and the machines on record. */
export const machineRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/models', { schema: { response: { 200: z.array(machineModel) } } }, async (request) =>
    dataSource.getRepository(machineModels).find({ where: { shopId: request.shopId }, order: { maker: 'ASC', code: 'ASC' } }),
  );

  app.get('/api/machines', { schema: { response: { 200: z.array(machine) } } }, async (request) => {
    const shopId = request.shopId;
    const [rows, models] = await Promise.all([
      dataSource.getRepository(machines).find({ where: { shopId }, order: { label: 'ASC' } }),
      dataSource.getRepository(machineModels).findBy({ shopId }),
    ]);
    return rows.map((row) => withModel(row, models));
  });

  app.post('/api/machines', { schema: { body: machineDraft, response: { 200: machine } } }, async (request) => {
    const { shopId } = needActor(request);
    const draft = request.body;
    if (!(await packOf(dataSource.manager, shopId, draft.family))) throw new ServerProblem('unknownFamily', { path: 'family' });
    const models = await dataSource.getRepository(machineModels).findBy({ shopId });
    if (draft.modelId && !models.some(({ id }) => id === draft.modelId)) throw new ServerProblem('unknownModel', { path: 'modelId' });
    await dataSource
      .createQueryBuilder()
      .insert()
      .into(machines)
      .values({ ...draft, shopId })
      .orIgnore()
      .execute();
    const row = await dataSource.getRepository(machines).findOneByOrFail({ id: draft.id, shopId });
    return withModel(row, models);
  });
};

function withModel({ shopId: _, truth, ...row }: MachineRow, models: readonly ModelRow[]) {
  const model = models.find(({ id }) => id === row.modelId);
  return { ...row, modelName: model ? `${model.maker} ${model.code}` : null, instruments: truth !== null };
}
