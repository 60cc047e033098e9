import { randomUUID } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import pg from 'pg';
import type { DataSource } from 'typeorm';
import { buildApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';

export interface TestServer {
  readonly app: FastifyInstance;
  readonly dataSource: DataSource;
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** A server on a real database of its own, made for this test and dropped after it. */
export async function testServer(): Promise<TestServer> {
  const cluster = process.env.TEST_DATABASE_URL;
  if (!cluster) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  await inCluster(cluster, `CREATE DATABASE ${name}`);
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  const { app, dataSource } = await serverOn(url.href);
  return {
    app,
    dataSource,
    url: url.href,
    stop: async () => {
      await app.close();
      if (dataSource.isInitialized) await dataSource.destroy();
      await inCluster(cluster, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

/** One more server process on the same database, as it would run elsewhere. */
export async function serverOn(url: string): Promise<{ app: FastifyInstance; dataSource: DataSource }> {
  const dataSource = await openDataSource(url, seedDemo);
  const app = await buildApp(readConfig({ DATABASE_URL: url, LOG_LEVEL: 'silent' }), dataSource);
  await app.ready();
  return { app, dataSource };
}

export async function inCluster(url: string, sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}
