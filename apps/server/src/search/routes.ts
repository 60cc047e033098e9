import { FOUND_OF_EACH, found, foundQuery, type SearchHit } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { In, type DataSource, type EntityTarget, type ObjectLiteral } from 'typeorm';
import { jobRows, rowsOf } from '../jobs/rows.ts';
import { findMachines } from '../machines/findMachines.ts';
import { machineModels, machines, type MachineRow, type ModelRow } from '../machines/entities.ts';
import { parts, type PartRow } from '../parts/entities.ts';
import { listParts } from '../parts/partList.ts';
import { beginningPattern, wordsOf } from '../words.ts';
import { nearest } from './near.ts';

interface SearchQuery {
  readonly shopId: string;
  readonly words: string;
}

/** One search over everything that the shop has: machines, numbers read off them, jobs, parts, models. */
export const searchRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/search', { schema: { querystring: foundQuery, response: { 200: found } } }, async (request): Promise<SearchHit> => {
    const asked = { shopId: request.shopId, words: request.query.words };
    if (wordsOf(asked.words).length === 0) return { machines: [], plates: [], jobs: [], parts: [], models: [], near: false };
    const exact = await beginning(dataSource, asked);
    return Object.values(exact).some((list) => list.length > 0)
      ? { ...exact, near: false }
      : { ...(await near(dataSource, asked)), near: true };
  });
};

type Lists = Omit<SearchHit, 'near'>;

/** What begins with the words. */
async function beginning(dataSource: DataSource, { shopId, words }: SearchQuery): Promise<Lists> {
  const [machines, plates, jobs, parts, models] = await Promise.all([
    findMachines(dataSource, shopId, { words, retired: 'yes', most: FOUND_OF_EACH }),
    platesOf(dataSource, shopId, words),
    jobRows(dataSource, shopId, { words, most: FOUND_OF_EACH }),
    listParts(dataSource, shopId, { text: words, order: 'partNumber', down: 'no', limit: FOUND_OF_EACH }),
    modelsOf(dataSource, shopId, words),
  ]);
  return { machines: machines.map(toMachine), plates, jobs: jobs.rows.map(toJob), parts: parts.map(toPart), models: models.map(toModel) };
}

/** What comes near to them: a letter left out, two changed round. */
async function near(dataSource: DataSource, asked: SearchQuery): Promise<Lists> {
  const of = <T extends ObjectLiteral & { id: string }>(what: 'machines' | 'parts' | 'models', entity: EntityTarget<T>) =>
    nearest(dataSource, what, asked).then(async (ids) =>
      inOrderOf(ids, await dataSource.getRepository(entity).findBy({ id: In([...ids]), shopId: asked.shopId } as never)),
    );
  const [foundMachines, foundParts, models, jobIds] = await Promise.all([
    of('machines', machines),
    of('parts', parts),
    of('models', machineModels),
    nearest(dataSource, 'jobs', asked),
  ]);
  const jobs = inOrderOf(jobIds, await rowsOf(dataSource.manager, jobIds));
  return {
    machines: foundMachines.map(toMachine),
    plates: [],
    jobs: jobs.map(toJob),
    parts: foundParts.map(toPart),
    models: models.map(toModel),
  };
}

const inOrderOf = <T extends { readonly id: string }>(ids: readonly string[], rows: readonly T[]): readonly T[] =>
  ids.flatMap((id) => rows.filter((each) => each.id === id));

const toMachine = ({ id, label, owner, serial, retiredAt }: MachineRow) => ({ id, label, owner, serial, retired: retiredAt !== null });
const toJob = ({ id, label, owner, complaint, closedAt }: Awaited<ReturnType<typeof rowsOf>>[number]) => ({
  id,
  label,
  owner,
  complaint,
  closed: closedAt !== null,
});
const toPart = ({ id, partNumber, name, supplier }: PartRow) => ({ id, partNumber, name, supplier });
const toModel = ({ id, maker, code, note }: ModelRow) => ({ id, name: `${maker} ${code}`, note });

/** Numbers that were read off machines, by their beginning, each with the machine it stands on. */
const platesOf = (dataSource: DataSource, shopId: string, words: string): Promise<SearchHit['plates']> =>
  dataSource.query(
    `SELECT DISTINCT ON (m.id, lower(e.payload->>'partNumber')) m.id AS "machineId", m.label, e.payload->>'partNumber' AS "partNumber", e.payload->>'where' AS "where"
     FROM entries e JOIN jobs j ON j.id = e.job_id JOIN machines m ON m.id = j.machine_id
     WHERE e.shop_id = $1 AND e.payload->>'kind' = 'plateRead' AND lower(e.payload->>'partNumber') LIKE $2 LIMIT $3`,
    [shopId, beginningPattern(words), FOUND_OF_EACH],
  );

function modelsOf(dataSource: DataSource, shopId: string, words: string): Promise<readonly ModelRow[]> {
  const find = dataSource.getRepository(machineModels).createQueryBuilder('m').where('m.shopId = :shopId', { shopId });
  wordsOf(words).forEach((word, i) => {
    find.andWhere(`strpos(lower(m.maker || ' ' || m.code), :word${i}) > 0`, { [`word${i}`]: word.toLowerCase() });
  });
  return find.orderBy('m.maker').addOrderBy('m.code').limit(FOUND_OF_EACH).getMany();
}
