import { machine, machineDraft, machineModel, shop } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { machineModels, machines, people, shops, type MachineRow, type ModelRow } from '../entities/index.ts';
import { packOf } from '../families/packs.ts';
import { needActor, shopOf } from '../plugins/actor.ts';
import { ServerProblem } from '../problems.ts';

/** The shop, its people, the machine models it knows and the machines on record. */
export const shopRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/shop', { schema: { response: { 200: shop } } }, async (request) => {
    const id = shopOf(request);
    const [found, staff] = await Promise.all([
      dataSource.getRepository(shops).findOneBy({ id }),
      dataSource.getRepository(people).find({ where: { shopId: id }, order: { name: 'ASC' } }),
    ]);
    if (!found) throw new ServerProblem('notFound');
    return { ...found, people: staff.map(({ id, name, role }) => ({ id, name, role })) };
  });

  app.get('/api/models', { schema: { response: { 200: z.array(machineModel) } } }, async (request) =>
    dataSource.getRepository(machineModels).find({ where: { shopId: shopOf(request) }, order: { maker: 'ASC', code: 'ASC' } }),
  );

  app.get('/api/machines', { schema: { response: { 200: z.array(machine) } } }, async (request) => {
    const shopId = shopOf(request);
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
