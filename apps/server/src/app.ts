import { constants } from 'node:zlib';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, jsonSchemaTransformObject, serializerCompiler } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import type { Config } from './config.ts';
import { actor } from './shop/actor.ts';
import { errors, refuseAddress } from './plugins/errors.ts';
import { feed } from './jobs/feed.ts';
import { streamRoutes } from './jobs/stream.ts';
import { validatorCompiler } from './plugins/validation.ts';
import { healthRoute } from './shop/health.ts';
import { familyRoutes } from './families/routes.ts';
import { instrumentRoutes } from './instruments/routes.ts';
import { importRoutes } from './imports/routes.ts';
import { machineRoutes } from './machines/routes.ts';
import { jobRoutes } from './jobs/routes.ts';
import { operationRoutes } from './operations/routes.ts';
import { partRoutes } from './parts/routes.ts';
import { photoRoutes } from './photos/routes.ts';
import { shelfRoutes } from './shelf/routes.ts';
import { shopRoutes } from './shop/routes.ts';

/** A photo over a poor line takes its time; whoever takes longer to say what is wanted is cut off. */
const REQUEST_MS = 120_000;

/** The whole server on an open database, not yet listening. */
export async function buildApp(config: Config, dataSource: DataSource): Promise<FastifyInstance> {
  const app = Fastify({
    logger: { level: config.LOG_LEVEL },
    bodyLimit: 2 * 1024 * 1024,
    forceCloseConnections: true,
    requestTimeout: REQUEST_MS,
    frameworkErrors: refuseAddress,
  });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  await app.register(errors);
  await app.register(helmet, {
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        // Styles are made at run time by the screens; workers start from a blob.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'worker-src': ["'self'", 'blob:'],
        'connect-src': ["'self'"],
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: false,
  });
  await app.register(compress, {
    encodings: ['br', 'gzip'],
    brotliOptions: { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } },
    threshold: 1024,
  });
  await app.register(rateLimit, { max: config.REQUESTS_PER_MINUTE, timeWindow: '1 minute' });
  await app.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: { title: 'Patient Badger', version: '0.1.0', description: 'Operations and records of a small machine shop.' },
    },
    transform: jsonSchemaTransform,
    transformObject: jsonSchemaTransformObject,
  });
  await app.register(actor, { dataSource });
  await app.register(feed, { databaseUrl: config.DATABASE_URL });
  const features = [
    shopRoutes,
    machineRoutes,
    familyRoutes,
    jobRoutes,
    streamRoutes,
    partRoutes,
    importRoutes,
    shelfRoutes,
    photoRoutes,
    instrumentRoutes,
  ];
  for (const routes of features) await app.register(routes, { dataSource });
  await app.register(operationRoutes);
  app.get('/api/openapi.json', { schema: { hide: true }, config: { shopless: true } }, async () => app.swagger());
  await app.register(healthRoute, { dataSource });
  if (config.STATIC_DIR) await serveApp(app, config.STATIC_DIR);
  return app;
}

/** The exported app; any address that is no file and no call is one of its screens. */
async function serveApp(app: FastifyInstance, root: string): Promise<void> {
  await app.register(fastifyStatic, {
    root,
    wildcard: false,
    // The build lays a packed copy beside each file: nothing is packed while somebody waits.
    preCompressed: true,
    setHeaders: (reply, path) => {
      // Names under _expo carry the hash of their content; everything else must be asked for again.
      reply.header('cache-control', path.includes('/_expo/') ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app.get('/*', { schema: { hide: true } }, (request, reply) => {
    const isScreen = !/^\/api(\/|\?|$)/i.test(request.url) && !/\.\w+($|\?)/.test(request.url);
    return isScreen ? reply.sendFile('index.html') : reply.callNotFound();
  });
}
