import { t } from '@patient-badger/wording/server';
import {
  bookPage,
  bookTakenOut,
  bookWriting,
  machineModel,
  modelBookFile,
  modelChange,
  modelDraft,
  type ModelBookFile,
} from '@patient-badger/contract';
import { bookKey, checkLines, type BookLine } from '@patient-badger/core/job';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource, EntityManager } from 'typeorm';
import { z } from 'zod';
import { defined, retiring } from '../defined.ts';
import { needActor, needOwner } from '../people/actor.ts';
import { writeAudit } from '../people/audit.ts';
import { shops } from '../people/entities.ts';
import { ServerProblem } from '../problems.ts';
import { machineModels, type ModelRow } from './entities.ts';
import { refuseOrphans } from './orphans.ts';
import { forgetPacks, packWith } from './packs.ts';

const told = ({ shopId: _, retiredAt, ...row }: ModelRow) => ({ ...row, retired: retiredAt !== null });

/** The machine models of the shop, and of each its book: what jobs have taught of it. */
export const modelRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const repository = dataSource.getRepository(machineModels);
  const modelOf = async (manager: EntityManager, shopId: string, id: string): Promise<ModelRow> => {
    const row = await manager.findOneBy(machineModels, { id, shopId });
    if (!row) throw new ServerProblem('notFound');
    return row;
  };

  app.get('/api/models', { schema: { response: { 200: z.array(machineModel) } } }, async (request) =>
    (await repository.find({ where: { shopId: request.shopId }, order: { maker: 'ASC', code: 'ASC' } })).map(told),
  );

  app.post('/api/models', { schema: { body: modelDraft, response: { 200: machineModel } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { id } = request.body;
    await packWith(dataSource.manager, { shopId, family: request.body.family }, request.body.overrides);
    await dataSource.transaction(async (manager) => {
      if (await manager.existsBy(machineModels, { id, shopId })) return;
      await refuseTaken(manager, { shopId, ...request.body });
      await manager.insert(machineModels, { ...request.body, shopId });
      await writeAudit(manager, { shopId, by: personId, what: 'modelAdded', about: nameOf(request.body), after: request.body });
    });
    return told(await modelOf(dataSource.manager, shopId, id));
  });

  const params = z.object({ id: z.uuid() });
  app.post('/api/models/:id/change', { schema: { params, body: modelChange, response: { 200: machineModel } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { id } = request.params;
    await dataSource.transaction(async (manager) => {
      const before = await modelOf(manager, shopId, id);
      const { retired, ...change } = defined(request.body);
      if (change.overrides !== undefined) {
        const pack = await packWith(manager, before, change.overrides);
        await refuseOrphans(manager, { pack, code: 'modelInUse', where: 'm.model_id = $1', of: [id] });
      }
      await refuseTaken(manager, { ...before, ...change });
      const after = { ...change, ...retiring(retired, before) };
      if (Object.keys(after).length > 0) await manager.update(machineModels, { id, shopId }, after);
      await writeAudit(manager, {
        shopId,
        by: personId,
        before,
        what: 'modelChanged',
        about: nameOf(before),
        after: { ...before, ...after },
      });
    });
    forgetPacks();
    return told(await modelOf(dataSource.manager, shopId, id));
  });

  const bookOf = async (shopId: string, id: string) => {
    await modelOf(dataSource.manager, shopId, id);
    const lines = await dataSource.query<{ line: BookLine; source: string; jobId: string | null; by: string | null; at: Date }[]>(
      'SELECT line, source, job_id AS "jobId", "by", "at" FROM book_lines WHERE model_id = $1 AND shop_id = $2 ORDER BY "at" DESC LIMIT 5000',
      [id, shopId],
    );
    const [counts] = await dataSource.query<{ jobs: number; machines: number }[]>(
      `SELECT count(DISTINCT m.id)::int AS machines, count(j.id) FILTER (WHERE j.closed)::int AS jobs
       FROM machines m LEFT JOIN jobs j ON j.machine_id = m.id WHERE m.model_id = $1 AND m.shop_id = $2 AND m.merged_into IS NULL`,
      [id, shopId],
    );
    return {
      lines: lines.map((each) => ({ ...each, at: each.at.toISOString() })),
      jobs: counts?.jobs ?? 0,
      machines: counts?.machines ?? 0,
    };
  };
  app.get('/api/models/:id/book', { schema: { params, response: { 200: bookPage } } }, async (request) =>
    bookOf(request.shopId, request.params.id),
  );

  app.post('/api/models/:id/book', { schema: { params, body: bookWriting, response: { 200: bookPage } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { id } = request.params;
    const { jobId, source, lines } = request.body;
    const model = await modelOf(dataSource.manager, shopId, id);
    if (jobId !== null) {
      const own = await dataSource.query<unknown[]>(
        'SELECT 1 FROM jobs j JOIN machines m ON m.id = j.machine_id WHERE j.id = $1 AND j.shop_id = $2 AND m.model_id = $3',
        [jobId, shopId, id],
      );
      if (own.length === 0) throw new ServerProblem('unknownJob', { path: 'jobId' });
    }
    checkLines(await packWith(dataSource.manager, model, model.overrides), lines);
    await dataSource.transaction((manager) =>
      writeLines(manager, { shopId, modelId: id, by: personId, lines: lines.map((line) => ({ line, jobId, source: jobId ?? source })) }),
    );
    return bookOf(shopId, id);
  });

  app.post('/api/models/:id/book/out', { schema: { params, body: bookTakenOut, response: { 200: bookPage } } }, async (request) => {
    const { shopId, personId } = needActor(request);
    const { id } = request.params;
    const { key, source } = request.body;
    await dataSource.transaction(async (manager) => {
      const [gone] = (
        await manager.query<[{ line: object }[], number]>(
          'DELETE FROM book_lines WHERE model_id = $1 AND shop_id = $2 AND key = $3 AND source = $4 RETURNING line',
          [id, shopId, key, source],
        )
      )[0];
      if (gone) await writeAudit(manager, { shopId, by: personId, what: 'bookLineOut', about: key, before: gone.line });
    });
    return bookOf(shopId, id);
  });

  app.get('/api/models/:id/book/export', { schema: { params, response: { 200: modelBookFile } } }, async (request, reply) => {
    const { shopId, params: asked } = request;
    const { maker, code, family, note, overrides } = await modelOf(dataSource.manager, shopId, asked.id);
    const { lines } = await bookOf(shopId, asked.id);
    const from = (await dataSource.getRepository(shops).findOneByOrFail({ id: shopId })).name;
    void reply.header('content-disposition', `attachment; filename="model-book.json"`);
    return {
      format: 'patient-badger-model-book' as const,
      version: 1 as const,
      from,
      model: { maker, code, family, note, overrides },
      // A picture is named by a photo that only this shop has.
      lines: lines
        .filter(({ line }) => line.kind !== 'picture')
        .map(({ line, at, source, jobId }) => ({ line, at, source: jobId === null ? source : t.aJobOf(from) })),
    };
  });

  app.post('/api/model-books', { schema: { body: z.unknown(), response: { 200: machineModel } } }, async (request) => {
    const { shopId, personId } = needOwner(request);
    const parsed = modelBookFile.safeParse(request.body);
    if (!parsed.success) throw new ServerProblem('bookBroken', { path: parsed.error.issues[0]?.path.join('.') });
    const id = await dataSource.transaction((manager) => bringIn(manager, { shopId, by: personId, file: parsed.data }));
    forgetPacks();
    return told(await modelOf(dataSource.manager, shopId, id));
  });
};

const nameOf = ({ maker, code }: { readonly maker: string; readonly code: string }) => `${maker} ${code}`;

type ModelName = Pick<ModelRow, 'id' | 'shopId' | 'maker' | 'code'>;

async function refuseTaken(manager: EntityManager, { id, shopId, maker, code }: ModelName): Promise<void> {
  const twin = await twinOf(manager, { id, shopId, maker, code });
  if (twin !== null && twin.id !== id) throw new ServerProblem('modelTaken', { path: 'code' });
}

const twinOf = (manager: EntityManager, { shopId, maker, code }: ModelName): Promise<ModelRow | null> =>
  manager
    .createQueryBuilder(machineModels, 'm')
    .where('m.shopId = :shopId AND lower(m.maker) = lower(:maker) AND lower(m.code) = lower(:code)', { shopId, maker, code })
    .getOne();

interface BookUpdate {
  readonly shopId: string;
  readonly modelId: string;
  readonly by: string;
  readonly lines: readonly { readonly line: BookLine; readonly jobId: string | null; readonly source: string; readonly at?: string }[];
}

async function writeLines(manager: EntityManager, { shopId, modelId, by, lines }: BookUpdate): Promise<void> {
  for (const { line, jobId, source, at } of lines)
    await manager.query(
      `INSERT INTO book_lines (model_id, shop_id, key, line, job_id, "by", source, "at") VALUES ($1, $2, $3, $4, $5, $6, $7, coalesce($8, now()))
       ON CONFLICT (model_id, key, source) DO UPDATE SET line = excluded.line, "by" = excluded."by", "at" = excluded."at"`,
      [modelId, shopId, bookKey(line), JSON.stringify(line), jobId, by, source, at ?? null],
    );
}

/** The book of another shop: into the model of that name where there is one, which keeps what it has. */
async function bringIn(
  manager: EntityManager,
  { shopId, by, file }: { readonly shopId: string; readonly by: string; readonly file: ModelBookFile },
): Promise<string> {
  const { model, from, lines } = file;
  checkLines(
    await packWith(manager, { shopId, family: model.family }, model.overrides),
    lines.map(({ line }) => line),
  );
  const twin = await twinOf(manager, { ...model, id: '', shopId });
  if (twin && twin.family !== model.family) throw new ServerProblem('otherFamily', { path: 'model.family' });
  const id = twin?.id ?? crypto.randomUUID();
  if (!twin) await manager.insert(machineModels, { ...model, id, shopId });
  // What came from that shop before is what its book was then: a book that grew brings all of it again.
  await manager.query('DELETE FROM book_lines WHERE model_id = $1 AND shop_id = $2 AND job_id IS NULL AND starts_with(source, $3)', [
    id,
    shopId,
    `${from}: `,
  ]);
  // Two lines of one key and source are told apart by how many there were before.
  const told = new Map<string, number>();
  const sourceOf = (line: BookLine, source: string) => {
    const key = `${bookKey(line)} ${source}`;
    const nth = (told.get(key) ?? 0) + 1;
    told.set(key, nth);
    return `${from}: ${source}${nth > 1 ? ` ${nth}` : ''}`.slice(0, 120);
  };
  await writeLines(manager, {
    shopId,
    modelId: id,
    by,
    lines: lines.map(({ line, at, source }) => ({ line, at, jobId: null, source: sourceOf(line, source) })),
  });
  await writeAudit(manager, {
    shopId,
    by,
    what: 'modelBookImported',
    about: t.from(nameOf(model), from),
    after: { lines: lines.length },
  });
  return id;
}
