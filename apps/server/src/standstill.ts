import Fastify, { type FastifyInstance } from 'fastify';
import type { ProblemCode } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import type { Config } from './config.ts';
import { serveApp, tlsOf } from './app.ts';
import { PROBLEM_STATUS } from './problems.ts';
import { healthOf } from './shop/health.ts';

/**
 * A server that cannot work yet, or not at all: it shows the app, and says to whatever is asked why. What people
 * recorded stays on their devices meanwhile.
 */
export async function buildStandstill(config: Config, why: () => ProblemCode): Promise<FastifyInstance> {
  const app = Fastify({ ...tlsOf(config), forceCloseConnections: true, logger: false });
  app.get('/api/health', async (_request, reply) => reply.status(503).send(healthOf([why()])));
  app.all('/api/*', async (_request, reply) => reply.status(PROBLEM_STATUS[why()]).send({ code: why(), sentence: problemSentence(why()) }));
  app.setNotFoundHandler((_request, reply) => reply.status(404).send({ code: 'notFound', sentence: problemSentence('notFound') }));
  if (config.STATIC_DIR) await serveApp(app, config.STATIC_DIR);
  return app;
}
