import { backups, shop, shopChange } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import send from '@fastify/send';
import { createShopFiles } from '../keeping/shopFile.ts';
import type { AddressInfo } from 'node:net';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { writeAudit } from '../people/audit.ts';
import { defined } from '../defined.ts';
import { ServerProblem } from '../problems.ts';
import type { Config } from '../config.ts';
import { needOwner } from '../people/actor.ts';
import { phoneAddress } from './address.ts';
import { people, shops } from '../people/entities.ts';

/** The shop and its people, and what the owner sets for everybody. */
export const shopRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource; config: Config }> = async (app, { dataSource, config }) => {
  const shopOf = async (id: string) => {
    const [found, staff] = await Promise.all([
      dataSource.getRepository(shops).findOneBy({ id }),
      dataSource
        .getRepository(people)
        .createQueryBuilder('p')
        .addSelect('p.pin')
        .where('p.shopId = :id', { id })
        .orderBy('p.name')
        .getMany(),
    ]);
    if (!found) throw new ServerProblem('notFound');
    return {
      ...found,
      people: staff.map(({ id, name, role, about, retiredAt, pin }) => ({
        id,
        name,
        role,
        about,
        retired: retiredAt !== null,
        hasPin: typeof pin === 'string',
      })),
    };
  };

  app.get('/api/shop', { schema: { response: { 200: shop } } }, async (request) => shopOf(request.shopId));

  app.get('/api/address', { schema: { response: { 200: z.object({ address: z.string().nullable() }) } } }, async () => ({
    address: phoneAddress(config, portOf(app.server.address()) ?? config.PORT),
  }));

  app.get('/api/backups', { schema: { response: { 200: backups } } }, async (request) => {
    needOwner(request);
    return { schedule: await app.backups() };
  });

  const files = createShopFiles(dataSource);
  app.addHook('onClose', () => files.close());
  app.get('/api/shop/export', { schema: { hide: true } }, async (request, reply) => {
    const { shopId, personId } = needOwner(request);
    const ifRange = request.headers['if-range'];
    const goOn = typeof ifRange === 'string' ? ifRange.replaceAll('"', '') : null;
    const { folder, name, tag, isNew } = await files.file(shopId, goOn);
    if (isNew) await writeAudit(dataSource.manager, { shopId, by: personId, what: 'shopExported', about: '' });
    // Fetched on from the middle only where it is the same file.
    if (goOn !== null && goOn !== tag) delete request.raw.headers.range;
    delete request.raw.headers['if-range'];
    const { statusCode, headers, stream } = await send(request.raw, name, {
      root: folder,
      etag: false,
      lastModified: false,
      cacheControl: false,
    });
    return reply
      .status(statusCode)
      .headers({ ...headers, etag: `"${tag}"`, 'cache-control': 'no-store', 'content-disposition': 'attachment; filename="shop.zip"' })
      .type('application/zip')
      .send(stream);
  });

  app.post('/api/shop', { schema: { body: shopChange, response: { 200: shop } } }, async (request) => {
    const { shopId, personId } = needOwner(request);
    await dataSource.transaction(async (manager) => {
      const before = await manager.findOneByOrFail(shops, { id: shopId });
      const change = defined(request.body);
      if (Object.keys(change).length > 0) await manager.update(shops, { id: shopId }, change);
      await writeAudit(manager, { shopId, by: personId, what: 'shopChanged', about: before.name, before, after: { ...before, ...change } });
    });
    return shopOf(shopId);
  });
};

const portOf = (address: AddressInfo | string | null): number | undefined => (typeof address === 'object' ? address?.port : undefined);
