import { openDataSource } from './dataSource.ts';
import { seedDemo } from './demo/seed.ts';
import { databaseIn, inCluster } from './testing.ts';

/**
 * Before the tests of a run: the made-up shop is written into one database, of which each test takes a copy. Those of
 * runs that have ended are dropped.
 */
export default async function fillOnce(): Promise<void> {
  const cluster = process.env.TEST_DATABASE_URL;
  if (!cluster || process.env.FILLED_DATABASE) return;
  const name = `filled_${process.pid}`;
  for (const left of await leftBehind(cluster)) await inCluster(cluster, `DROP DATABASE ${left} WITH (FORCE)`);
  await inCluster(cluster, `CREATE DATABASE ${name}`);
  await (await openDataSource(databaseIn(cluster, name), seedDemo)).destroy();
  process.env.FILLED_DATABASE = name;
}

async function leftBehind(cluster: string): Promise<readonly string[]> {
  const rows = await inCluster<{ name: string }>(cluster, "SELECT datname AS name FROM pg_database WHERE datname LIKE 'filled\\_%'");
  return rows.map(({ name }) => name).filter((name) => !isRunning(Number(name.split('_')[1])));
}

function isRunning(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return pid !== process.pid;
  } catch {
    return false;
  }
}
