import { t } from '@patient-badger/wording/server';
import { constants } from 'node:zlib';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import { readFileSync } from 'node:fs';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, jsonSchemaTransformObject, serializerCompiler } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import type { Config } from './config.ts';
import { actor } from './people/actor.ts';
import { errors, refuseAddress } from './plugins/errors.ts';
import { feed } from './jobs/feed.ts';
import { streamRoutes } from './jobs/stream.ts';
import { validatorCompiler } from './plugins/validation.ts';
import { healthRoute } from './shop/health.ts';
import { familyRoutes } from './families/routes.ts';
import { instrumentRoutes } from './instruments/routes.ts';
import { importRoutes } from './imports/routes.ts';
import { learningRoutes } from './learning/routes.ts';
import { machineRoutes } from './machines/routes.ts';
import { modelRoutes } from './machines/modelRoutes.ts';
import { jobRoutes } from './jobs/routes.ts';
import { sampleRoutes } from './demo/sampleRoutes.ts';
import { backupSchedule } from './keeping/schedule.ts';
import { operationRoutes } from './operations/routes.ts';
import { partRoutes } from './parts/routes.ts';
import { peopleRoutes } from './shop/peopleRoutes.ts';
import { newSetupCode, signInRoutes } from './entrance/routes.ts';
import { photoRoutes } from './photos/routes.ts';
import { searchRoutes } from './search/routes.ts';
import { shelfRoutes } from './shelf/routes.ts';
import { shopRoutes } from './shop/routes.ts';

/** A photo over a poor line takes its time; whoever takes longer to say what is wanted is cut off. */
const REQUEST_MS = 120_000;

/** The whole server on an open database, not yet listening. */
export async function buildApp(config: Config, dataSource: DataSource, setupCode = newSetupCode()): Promise<FastifyInstance> {
  const { TRUST_PROXY } = config;
  const tls = tlsOf(config);
  const app = Fastify({
    ...tls,
    ...(TRUST_PROXY !== undefined && { trustProxy: TRUST_PROXY.split(',') }),
    logger: {
      level: config.LOG_LEVEL,
      // A token, a passphrase or a PIN is never written down, whoever logs a whole request one day.
      redact: ['req.headers.cookie', 'req.headers.authorization', 'res.headers["set-cookie"]', 'body', 'req.body'],
    },
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
        'frame-ancestors': ["'none'"],
        'form-action': ["'self'"],
        'upgrade-insecure-requests': null,
      },
    },
    // Only over TLS does it mean anything; a shop with plain HTTP is not shut out of its own address.
    strictTransportSecurity: 'https' in tls ? { maxAge: 31_536_000, includeSubDomains: false } : false,
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
      info: { title: 'Patient Badger', version: '0.1.0', description: t.operationsAndRecords },
    },
    transform: jsonSchemaTransform,
    transformObject: jsonSchemaTransformObject,
  });
  await app.register(actor, { dataSource, config });
  await app.register(feed, { databaseUrl: config.DATABASE_URL });
  await app.register(signInRoutes, {
    dataSource,
    setupCode,
    isSample: config.SEED_DEMO === '1',
    signInsPerMinute: config.SIGN_INS_PER_MINUTE,
  });
  await app.register(backupSchedule, { dataSource, config });
  await app.register(shopRoutes, { dataSource, config });
  const features = [
    peopleRoutes,
    sampleRoutes,
    machineRoutes,
    modelRoutes,
    familyRoutes,
    jobRoutes,
    streamRoutes,
    partRoutes,
    importRoutes,
    shelfRoutes,
    searchRoutes,
    photoRoutes,
    instrumentRoutes,
  ];
  for (const routes of features) await app.register(routes, { dataSource });
  await app.register(learningRoutes, { dataSource, config });
  await app.register(operationRoutes, { dataSource });
  app.get('/api/openapi.json', { schema: { hide: true }, config: { open: true } }, async () => app.swagger());
  await app.register(healthRoute, { dataSource, config });
  if (config.STATIC_DIR) await serveApp(app, config.STATIC_DIR);
  return app;
}

/** Certificate and key, where they were set. The server of Node differs in type with TLS, and in nothing that is used here. */
export const tlsOf = ({ TLS_CERT_FILE, TLS_KEY_FILE }: Config): object =>
  TLS_CERT_FILE && TLS_KEY_FILE ? { https: { cert: readFileSync(TLS_CERT_FILE), key: readFileSync(TLS_KEY_FILE) } } : {};

/** The exported app; any address that is no file and no call is one of its screens. */
export async function serveApp(app: FastifyInstance, root: string): Promise<void> {
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
