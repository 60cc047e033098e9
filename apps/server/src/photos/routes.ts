import { createHash } from 'node:crypto';
import { PHOTO_MOST_BYTES, photoReceipt } from '@patient-badger/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { createPhotoReader, readInWorker } from './readInWorker.ts';
import { needActor } from '../people/actor.ts';
import { takeBytes } from '../plugins/bytes.ts';
import { ServerProblem } from '../problems.ts';
import { photos } from './entities.ts';

const params = z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/) });

/** Photos by the hash of their bytes: the same photo is kept once, however often it is sent. */
export const photoRoutes: FastifyPluginAsyncZod<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const repository = dataSource.getRepository(photos);
  const reader = createPhotoReader();
  app.addHook('onClose', () => reader.close());

  await app.register(async (scope) => {
    takeBytes(scope, PHOTO_MOST_BYTES);
    scope.setErrorHandler((error) => {
      throw (error as { code?: string }).code === 'FST_ERR_CTP_BODY_TOO_LARGE' ? new ServerProblem('photoTooLarge') : error;
    });
    scope.post('/api/photos', { bodyLimit: PHOTO_MOST_BYTES, schema: { response: { 200: photoReceipt } } }, async (request) => {
      const { shopId } = needActor(request);
      const bytes = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new ServerProblem('photoBroken');
      const hash = createHash('sha256').update(bytes).digest('hex');
      const known = await repository.findOne({
        where: { shopId, hash },
        select: { hash: true, shopId: true, type: true, width: true, height: true },
      });
      const read = known ?? (await readInWorker(reader, bytes));
      if (!known && 'preview' in read) {
        const row = { shopId, hash, type: read.type, width: read.width, height: read.height, bytes, preview: read.preview };
        await dataSource.createQueryBuilder().insert().into(photos).values(row).orIgnore().execute();
      }
      return { hash, type: read.type, bytes: bytes.length, width: read.width, height: read.height };
    });
  });

  for (const [path, column] of [
    ['/api/photos/:hash', 'bytes'],
    ['/api/photos/:hash/preview', 'preview'],
  ] as const) {
    app.get(path, { schema: { params, hide: true } }, async (request, reply) => {
      const found = await repository.findOne({
        where: { shopId: request.shopId, hash: request.params.hash },
        select: { hash: true, shopId: true, type: true, [column]: true },
      });
      if (!found) throw new ServerProblem('notFound');
      return (
        reply
          .header('cache-control', 'private, max-age=31536000, immutable')
          // Whatever it is, it is a picture and runs nothing, also where it is opened by itself.
          .header('content-security-policy', "default-src 'none'; sandbox")
          .header('x-content-type-options', 'nosniff')
          .header('cross-origin-resource-policy', 'same-origin')
          .type(column === 'preview' ? 'image/jpeg' : found.type)
          .send(found[column])
      );
    });
  }
};
