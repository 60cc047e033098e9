import { FOUND_OF_EACH, found, foundQuery, type Found } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { jobRows } from '../jobs/rows.ts';
import { findMachines } from '../machines/findMachines.ts';
import { machineModels } from '../machines/entities.ts';
import { listParts } from '../parts/partList.ts';
import { beginningPattern, wordsOf } from '../words.ts';

/** One search over everything that the shop has: machines, numbers read off them, jobs, parts, models. */
export const searchRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/search', { schema: { querystring: foundQuery, response: { 200: found } } }, async (request): Promise<Found> => {
    const { shopId } = request;
    const { words } = request.query;
    if (wordsOf(words).length === 0) return { machines: [], plates: [], jobs: [], parts: [], models: [] };
    const [machines, plates, jobs, parts, models] = await Promise.all([
      findMachines(dataSource, shopId, { words, retired: 'yes', most: FOUND_OF_EACH }),
      platesOf(dataSource, shopId, words),
      jobRows(dataSource, shopId, { words, most: FOUND_OF_EACH }),
      listParts(dataSource, shopId, { text: words, order: 'partNumber', down: 'no', from: 0, limit: FOUND_OF_EACH }),
      modelsOf(dataSource, shopId, words),
    ]);
    return {
      machines: machines.map(({ id, label, owner, serial, retiredAt }) => ({ id, label, owner, serial, retired: retiredAt !== null })),
      plates,
      jobs: jobs.rows.map(({ id, label, owner, complaint, closedAt }) => ({ id, label, owner, complaint, closed: closedAt !== null })),
      parts: parts.map(({ id, partNumber, name, supplier }) => ({ id, partNumber, name, supplier })),
      models,
    };
  });
};

/** Numbers that were read off machines, by their beginning, each with the machine it stands on. */
const platesOf = (dataSource: DataSource, shopId: string, words: string): Promise<Found['plates']> =>
  dataSource.query(
    `SELECT DISTINCT ON (m.id, lower(e.payload->>'partNumber')) m.id AS "machineId", m.label, e.payload->>'partNumber' AS "partNumber", e.payload->>'where' AS "where"
     FROM entries e JOIN jobs j ON j.id = e.job_id JOIN machines m ON m.id = j.machine_id
     WHERE e.shop_id = $1 AND e.payload->>'kind' = 'plateRead' AND lower(e.payload->>'partNumber') LIKE $2 LIMIT $3`,
    [shopId, beginningPattern(words), FOUND_OF_EACH],
  );

async function modelsOf(dataSource: DataSource, shopId: string, words: string): Promise<Found['models']> {
  const find = dataSource.getRepository(machineModels).createQueryBuilder('m').where('m.shopId = :shopId', { shopId });
  wordsOf(words).forEach((word, i) => {
    find.andWhere(`strpos(lower(m.maker || ' ' || m.code), :word${i}) > 0`, { [`word${i}`]: word.toLowerCase() });
  });
  const rows = await find.orderBy('m.maker').addOrderBy('m.code').limit(FOUND_OF_EACH).getMany();
  return rows.map(({ id, maker, code, note }) => ({ id, name: `${maker} ${code}`, note }));
}
