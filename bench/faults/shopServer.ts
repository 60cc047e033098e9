import { seeded } from '@patient-badger/core';
import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { freePort } from '../../e2e/stage.ts';
import { newTally, until, type Campaign } from './tally.ts';

/** A server process that is killed on purpose and started again; one that ends by itself is a crash. */
export function shopServer(databaseUrl: string, port: number) {
  let child: ChildProcess | null = null;
  let crashes = 0;
  const start = () => {
    const made = spawn(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts'], {
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        PORT: String(port),
        STATIC_DIR: resolve('apps/web/dist'),
        SEED_DEMO: '1',
        LOG_LEVEL: 'silent',
        REQUESTS_PER_MINUTE: '1000000',
        SIGN_INS_PER_MINUTE: '1000',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    made.once('exit', () => {
      if (child === made) crashes++;
    });
    child = made;
  };
  return {
    address: `http://127.0.0.1:${port}`,
    start,
    kill: () => {
      const old = child;
      child = null;
      old?.kill('SIGKILL');
    },
    crashes: () => crashes,
  };
}

/** Whether the server answers and its record takes writes. */
export const isWell = async (address: string) => (await fetch(`${address}/api/health`)).ok;

/** A shop that has opened: its database, its server, what is counted, and the chances of this kind of fault. */
export async function openShop(database: Campaign['database'], seed: number) {
  const url = await database.start();
  const server = shopServer(url, await freePort());
  server.start();
  await until(() => isWell(server.address), 60_000);
  return { url, server, tally: newTally(), random: seeded(seed) };
}
