import { t } from '@patient-badger/wording/server';
import type { Pool, PoolClient } from 'pg';
import { DataSource } from 'typeorm';
import { ENTITIES } from './entities.ts';
import { FirstTables1700000000001 } from './migrations/1700000000001-FirstTables.ts';
import { Families1700000000002 } from './migrations/1700000000002-Families.ts';
import { PartSearch1700000000003 } from './migrations/1700000000003-PartSearch.ts';
import { PartWords1700000000004 } from './migrations/1700000000004-PartWords.ts';
import { SellersAndShelf1700000000005 } from './migrations/1700000000005-SellersAndShelf.ts';
import { SizesByPitch1700000000006 } from './migrations/1700000000006-SizesByPitch.ts';
import { JobRows1700000000007 } from './migrations/1700000000007-JobRows.ts';
import { MachinesKept1700000000009 } from './migrations/1700000000009-MachinesKept.ts';
import { BenchAndNear1700000000011 } from './migrations/1700000000011-BenchAndNear.ts';
import { FollowUpsAndLearning1700000000012 } from './migrations/1700000000012-FollowUpsAndLearning.ts';
import { HandOvers1700000000013 } from './migrations/1700000000013-HandOvers.ts';
import { RowsToldAgain1700000000014 } from './migrations/1700000000014-RowsToldAgain.ts';
import { ListsInOrder1700000000015 } from './migrations/1700000000015-ListsInOrder.ts';
import { PlatesFound1700000000010 } from './migrations/1700000000010-PlatesFound.ts';
import { PeopleAndSessions1700000000008 } from './migrations/1700000000008-PeopleAndSessions.ts';

/** No statement of the server takes so long; one that does is stuck, and would hold its connection for ever. */
const STATEMENT_MS = 30_000;
const IDLE_IN_TRANSACTION_MS = 30_000;

const MIGRATIONS = [
  FirstTables1700000000001,
  Families1700000000002,
  PartSearch1700000000003,
  PartWords1700000000004,
  SellersAndShelf1700000000005,
  SizesByPitch1700000000006,
  JobRows1700000000007,
  PeopleAndSessions1700000000008,
  MachinesKept1700000000009,
  PlatesFound1700000000010,
  BenchAndNear1700000000011,
  FollowUpsAndLearning1700000000012,
  HandOvers1700000000013,
  RowsToldAgain1700000000014,
  ListsInOrder1700000000015,
];

/** Every state that the tables were ever in, the first one first, by the change that led to it. */
export const knownMigrations = (): readonly string[] => MIGRATIONS.map(({ name }) => name);

interface Limits {
  /** Imports and migrations take their time. */
  readonly patient?: boolean;
  /** As the tables were after this change; as they are now where none is named. */
  readonly upTo?: string | undefined;
}

/** A connection pool to the shop's database. Tables change by migration only. */
export const createDataSource = (url: string, { patient = false, upTo }: Limits = {}): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: upTo === undefined ? MIGRATIONS : MIGRATIONS.slice(0, knownMigrations().indexOf(upTo) + 1),
    synchronize: false,
    installExtensions: false,
    connectTimeoutMS: 4000,
    extra: {
      max: 10,
      keepAlive: true,
      ...(patient ? {} : { statement_timeout: STATEMENT_MS, query_timeout: STATEMENT_MS + 5000 }),
      idle_in_transaction_session_timeout: patient ? 10 * IDLE_IN_TRANSACTION_MS : IDLE_IN_TRANSACTION_MS,
    },
  });

/** Any number that only this project's servers use: who holds it brings the tables up to date. */
const MIGRATION_LOCK = 7_316_402;

/**
 * Opens a database and brings its tables up to date. Several servers may do so on one empty database at
 * once: one does the work, the others wait for it.
 * @throws Error where it cannot be reached, or was made by a newer program
 */
export async function openDataSource(
  url: string,
  fill: (dataSource: DataSource) => Promise<unknown> = async () => undefined,
): Promise<DataSource> {
  const patient = createDataSource(url, { patient: true });
  try {
    await patient.initialize();
    survivesLostConnections(patient);
    const runner = patient.createQueryRunner();
    await runner.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    try {
      await refuseNewer(patient);
      await patient.runMigrations();
      await fill(patient);
    } finally {
      await runner.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
      await runner.release();
    }
  } finally {
    if (patient.isInitialized) await patient.destroy();
  }
  const dataSource = await createDataSource(url).initialize();
  survivesLostConnections(dataSource);
  return dataSource;
}

/** The database was brought forward by a newer program. */
export class NewerDatabase extends Error {}

/** An older program would write into tables that it does not understand. @throws Error */
async function refuseNewer(dataSource: DataSource): Promise<void> {
  const [there] = await dataSource.query<{ t: string | null }[]>(`SELECT to_regclass('migrations')::text AS t`);
  if (!there?.t) return;
  const made = await dataSource.query<{ name: string }[]>('SELECT name FROM migrations');
  const [unknown] = made.filter(({ name }) => !knownMigrations().includes(name));
  if (unknown) {
    throw new NewerDatabase(t.thisDatabaseWasMadeBy(unknown.name));
  }
}

/**
 * A connection that breaks while it is lent out tells whoever uses it by refusing the next statement; the
 * event itself, with nobody listening, would end the process.
 */
function survivesLostConnections(dataSource: DataSource): void {
  const master = poolOf(dataSource);
  master.on('connect', (client: PoolClient) => client.on('error', () => undefined));
  master.on('error', () => undefined);
}

/** The connections themselves, for the few statements that are prepared once and run for every note. */
export const poolOf = (dataSource: DataSource): Pool => (dataSource.driver as unknown as { readonly master: Pool }).master;
