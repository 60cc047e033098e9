import { fit, type GearAttributes } from '@patient-badger/core';
import { part, partMatch, partSearch, type Part } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { parts, type PartRow } from '../entities/index.ts';
import { shopOf } from '../plugins/actor.ts';
import { ServerProblem } from '../problems.ts';

/** Sizes this far from the wanted one are still read, so that near-misses can be shown as such. */
const NEAR = 0.08;
const MOST_READ = 2000;

export const partRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  app.get('/api/parts/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: part } } }, async (request) => {
    const row = await dataSource.getRepository(parts).findOneBy({ id: request.params.id, shopId: shopOf(request) });
    if (!row) throw new ServerProblem('notFound');
    return toPart(row);
  });

  app.post('/api/parts/search', { schema: { body: partSearch, response: { 200: z.array(partMatch) } } }, async (request) => {
    const { wanted, machineModel, most } = request.body;
    const query = dataSource
      .getRepository(parts)
      .createQueryBuilder('p')
      .where('p.shopId = :shopId', { shopId: shopOf(request) });
    if (wanted.type) query.andWhere('p.type = :type', { type: wanted.type });
    const size = sizeOf(wanted);
    if (size !== null) query.andWhere('p.moduleMm BETWEEN :low AND :high', { low: size * (1 - NEAR), high: size * (1 + NEAR) });
    const found = await query.orderBy('p.partNumber').limit(MOST_READ).getMany();
    return found
      .map((row) => ({ part: toPart(row), fit: fit({ wanted, part: row.attributes, claims: row.claims, machine: machineModel }) }))
      .sort((a, b) => b.fit.probability - a.fit.probability || a.part.priceMinor - b.part.priceMinor)
      .slice(0, most);
  });
};

function sizeOf(wanted: GearAttributes): number | null {
  const given = wanted.axialModuleMm ?? wanted.normalModuleMm ?? (wanted.diametralPitch ? 25.4 / wanted.diametralPitch : null);
  return given !== null && typeof given === 'object' ? given.value : given;
}

const toPart = ({ shopId: _, type: __, moduleMm: ___, ...row }: PartRow): Part => row;
